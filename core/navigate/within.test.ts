import { arrange } from "../arrange/arrange.js";
import {
  byBand,
  frameOf,
  hub,
  list,
  opening,
  pick,
  run,
  runIn,
  screen,
  stack,
  tab,
  tabbed,
  tap,
} from "../testing/frames.js";
import type { Frame, HubNode, Node } from "../frame/types.js";

/** The tabbed frame with some of its nodes changed. */
const changed = (nodes: Record<string, Partial<Node>>, more: Partial<Frame> = {}): Frame => {
  const frame = tabbed();
  const all = Object.entries(frame.nodes).map(([id, node]) => [id, { ...node, ...nodes[id] }]);
  return { ...frame, ...more, nodes: Object.fromEntries(all) as Frame["nodes"] };
};
const titles = (at: { headers: { title: string }[] }) => at.headers.map(({ title }) => title);

describe("what a container says for the screens within it", () => {
  test("holds for all that do not say it themselves, the nearest container first", () => {
    const off = changed({ aTab: { within: { header: "off" } } as Partial<Node> });
    expect(titles(run(off))).toEqual([]);
    expect(titles(run(off, pick(3)))).toEqual([]);
    expect(titles(run(off, tab("bTab")))).toEqual(["b"]);
    const own = changed({ aTab: { within: { header: "off" } } as Partial<Node>, item: { header: "on" } });
    expect(titles(run(own, pick(3)))).toEqual(["Item 3"]);
    const near = changed({
      home: { within: { header: "off" } } as Partial<Node>,
      aTab: { within: { header: "on" } } as Partial<Node>,
    });
    expect(titles(run(near))).toEqual(["A"]);
    expect(titles(run(near, tab("c")))).toEqual([]);
  });
  test("hides the bars of a whole app, but not where a screen keeps them", () => {
    const hidden = changed({ app: { within: { bars: "hide" } } as Partial<Node>, item: { bars: "keep" } });
    expect(run(hidden).bars).toEqual([]);
    expect(run(hidden, pick(3)).bars).toHaveLength(1);
  });
  test("says of an overlay no header", () => {
    const frame = changed({
      app: { within: { header: "on" } } as Partial<Node>,
      deep: { opens: "sheet" },
    });
    const at = run(frame, pick(3), tap("deep"));
    expect([at.overlay?.node, titles(at)]).toEqual(["deep", []]);
  });
  test("is of a shared screen what the place says where it stands", () => {
    const shared = frameOf({
      app: stack(["home"]),
      home: hub(["aTab", "bTab"]),
      aTab: stack(["a", "profile"], { within: { header: "off" } }),
      bTab: stack(["b", "profile"]),
      a: list("profile"),
      b: list("profile"),
      profile: screen({ title: "Profile" }),
    });
    expect(titles(run(shared, pick(1)))).toEqual([]);
    expect(titles(run(shared, tab("bTab"), pick(1)))).toEqual(["Profile"]);
  });
  test("may differ by view as all else", () => {
    const frame = changed({ home: { vary: [{ from: "lap", set: { within: { header: "off" } } }] } });
    expect(titles(run(frame))).toEqual(["A"]);
    expect(titles(runIn(frame, { width: 700 }))).toEqual([]);
  });
});

describe("the device's own strips", () => {
  const insets = { top: 40, right: 0, bottom: 20, left: 0 };
  const topOf = (frame: Frame, ...events: Parameters<typeof run>[1][]) => {
    const at = runIn(frame, { insets }, ...events);
    const content = arrange(frame, at.at.state, at.view).filter(({ role }) => role === "content");
    return content[0]!.y;
  };
  test("are gone while the top screen hides them, whatever sheet lies above it", () => {
    const frame = changed({
      c: { system: "hide", header: "off", actions: [opening("form")] } as Partial<Node>,
      form: { opens: "sheet" },
    });
    const own = changed({ c: { header: "off" } });
    expect(topOf(own, tab("c"))).toBe(40);
    expect(topOf(frame, tab("c"))).toBe(0);
    const sheet = changed({
      c: { system: "hide", header: "off", actions: [opening("over")] } as Partial<Node>,
      app: { children: ["home", "cover", "over"] } as Partial<Node>,
    });
    const over = { ...sheet, nodes: { ...sheet.nodes, over: screen({ opens: "sheet" }) } };
    expect(topOf(over, tab("c"), tap("over"))).toBe(0);
    // a full screen is a top screen of its own
    const full = { ...sheet, nodes: { ...sheet.nodes, over: screen({ opens: "fullscreen", header: "off" }) } };
    expect(topOf(full, tab("c"), tap("over"))).toBe(40);
  });
});

describe("a hub", () => {
  const place = (extra: Partial<HubNode>, view: object, role: string, ...events: Parameters<typeof run>[1][]) => {
    const frame = tabbed(extra);
    const at = runIn(frame, view, ...events);
    return arrange(frame, at.at.state, at.view).find((region) => region.role === role)?.x;
  };
  test("has its rail, panel and drawer at the edge it says", () => {
    const rail = byBand("face", { hand: "rail" });
    expect(place(rail, {}, "rail")).toBe(0);
    expect(place({ ...rail, faceEdge: "end" }, {}, "rail")).toBe(390 - 76);
    expect(place({ ...rail, faceEdge: "end" }, { rtl: true }, "rail")).toBe(0);
    expect(place({ faceEdge: "end", face: "drawer" }, {}, "drawer", { do: "menu" })).toBe(390 - 300);
  });
  test("without a face changes its tabs by actions alone", () => {
    const bare = changed({ home: { face: "none" }, item: { actions: [opening("b")] } } as never);
    expect(run(bare).bars).toEqual([]);
    expect(run(bare, tab("bTab")).codes).toEqual(["ignored"]);
    expect(run(bare, pick(1), tap("b")).top).toBe("b");
  });
});

test("a way in has a motion of its own, which its entry keeps", () => {
  const frame = changed({ item: { actions: [opening("deep", { as: "sheet", motion: "glide" })] } as Partial<Node> });
  const { root } = run(frame, pick(1), tap("deep")).at.state;
  expect(JSON.stringify(root)).toContain('"node":"deep","params":{},"carried":{},"opens":"sheet","motion":"glide"');
});

test("an action may stand as a row above the body, and is tapped as any other", () => {
  const frame = changed({ a: { actions: [{ ...opening("cover"), place: "row" }] } as Partial<Node> });
  expect(run(frame, tap("cover")).top).toBe("cover");
});

describe("what is said of the app as a whole", () => {
  test("differs by view: sizes, and the screen for links that lead nowhere", () => {
    const frame = changed(
      {},
      {
        theme: { sizes: { header: 60 } },
        address: { lost: "c" },
        vary: [
          { from: "lap", set: { theme: { sizes: { header: 80 } }, lost: "cover" } },
          { from: "desk", set: { theme: { sizes: { header: null } } } },
        ],
      },
    );
    const header = (width: number) => {
      const at = runIn(frame, { width });
      return arrange(frame, at.at.state, at.view).find(({ role }) => role === "header")?.height;
    };
    expect([header(390), header(700), header(1000)]).toEqual([60, 80, 50]);
    const lost = (width: number) => runIn(frame, { width }, { do: "link", url: "/nowhere", start: "running" }).top;
    expect([lost(390), lost(700)]).toEqual(["c", "cover"]);
  });
});
