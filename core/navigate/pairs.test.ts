import type { Frame, PairNode, ScreenNode } from "../frame/types.js";
import {
  byBand,
  back,
  frameOf,
  hub,
  list,
  openTo,
  opening,
  pick,
  run,
  runIn,
  screen,
  stack,
  tab,
  tap,
  typing,
  up,
} from "../testing/frames.js";
import type { NavigationEvent } from "./event.js";

/** A tab with a pair: rows in a stack beside a detail that is a stack too; the rail of the hub stays in wide views. */
const sky = (pair: Partial<PairNode> = {}): Frame =>
  frameOf({
    app: stack(["home"]),
    home: hub(["nights", "me"], byBand("face", { hand: "bar", lap: "rail" })),
    nights: { kind: "pair", list: "logs", detail: "night", ...pair },
    logs: stack(["log", "filter", "older"]),
    log: list("entry", "n", { path: "/log", title: "Log", actions: [opening("filter"), opening("older")] }),
    older: screen({ title: "Older" }),
    filter: screen({ opens: "sheet", over: "region", actions: [opening("entry", { params: { n: "1" } })] }),
    night: stack(["entry", "note"]),
    entry: screen({
      path: "/log/:n",
      title: "Night {n}",
      actions: [opening("note"), opening("entry", { params: { n: "9" } })],
      body: { kind: "form", fields: [{ id: "name", label: "Name", input: "text" }] },
    }),
    note: screen({ title: "Note" }),
    me: screen({ actions: [opening("entry", { params: { n: "5" } })] }),
  });
const lap = { width: 800, height: 600 };
const wide = (...events: NavigationEvent[]) => runIn(sky(), lap, ...events);

describe("a pair that is not split", () => {
  test("shows its list, and the detail over it", () => {
    expect(run(sky())).toMatchObject({ top: "log", shown: ["log"], trail: ["log"], back: ["exit"] });
    const seen = run(sky(), pick(3));
    expect(seen).toMatchObject({
      top: "entry",
      params: { n: "3" },
      shown: ["entry"],
      trail: ["log", "entry"],
      back: ["log", "exit"],
    });
    expect(seen.headers).toEqual([{ by: "night", title: "Night 3", back: true, menu: false, close: false }]);
    expect(seen.moves).toEqual([{ kind: "push", in: "nights", leaving: "logs", entering: "night", toward: "forward" }]);
  });
  test("loses its detail by Back and by Up, after what lies on that", () => {
    expect(run(sky(), pick(3), tap("note")).back).toEqual(["entry", "log", "exit"]);
    for (const event of [back, up]) {
      const seen = run(sky(), pick(3), event);
      expect(seen).toMatchObject({ top: "log", trail: ["log"] });
      expect(seen.moves[0]).toMatchObject({ kind: "pop", in: "nights" });
    }
  });
  test("goes to its list when its tab is chosen again", () => {
    expect(run(sky(), pick(3), tap("note"), tab("nights"))).toMatchObject({ top: "log", trail: ["log"] });
  });
});

describe("a pair that is split", () => {
  test("shows list and detail beside one another, and the detail is the top", () => {
    const seen = wide(pick(3));
    expect(seen).toMatchObject({ top: "entry", shown: ["log", "entry"], trail: ["log", "entry"], back: ["exit"] });
    expect(seen.headers).toEqual([{ by: "night", title: "Night 3", back: false, menu: false, close: false }]);
    expect(seen.moves).toEqual([
      { kind: "replace", in: "nights", leaving: null, entering: "night", toward: "forward" },
    ]);
  });
  test("goes to the first screen of each pane when its tab is chosen again, and keeps the detail", () => {
    const seen = wide(pick(3), tap("note"), tap("older", "log"), tab("nights"));
    expect(seen).toMatchObject({ shown: ["log", "entry"], trail: ["log", "entry"] });
    // and from there both are scrolled to their tops
    const scrolled = wide(
      pick(3),
      { do: "scroll", to: 40, in: "entry" },
      { do: "scroll", to: 90, in: "log" },
      tab("nights"),
    );
    const pair = scrolled.at.state.root;
    const tops = JSON.stringify(pair).match(/"scroll":\d+/g);
    expect(new Set(tops)).toEqual(new Set(['"scroll":0']));
  });
  test("takes a row of its list while the detail is the top, and replaces that", () => {
    const seen = wide(pick(3), tap("note"), pick(4, "log"));
    expect(seen).toMatchObject({ top: "entry", params: { n: "4" }, trail: ["log", "entry"] });
    expect(seen.moves).toEqual([
      { kind: "replace", in: "nights", leaving: "night", entering: "night", toward: "forward" },
    ]);
  });
  test("with the same row again closes what lies above it", () => {
    expect(wide(pick(3), tap("note"), pick(3, "log"))).toMatchObject({
      trail: ["log", "entry"],
      codes: ["already-there"],
    });
  });
  test("says what a replaced detail loses", () => {
    expect(wide(pick(3), typing("cloud"), pick(4, "log")).codes).toEqual(["draft-lost"]);
  });
  test("lays what its detail opens on the detail", () => {
    expect(wide(pick(3), tap("entry"))).toMatchObject({ trail: ["log", "entry", "entry"], params: { n: "9" } });
  });
  test("follows its list while that has something above its first entry", () => {
    const seen = wide(pick(3), tap("older", "log"));
    expect(seen).toMatchObject({
      top: "older",
      shown: ["older", "entry"],
      back: ["entry", "exit"],
      trail: ["log", "older", "entry"],
    });
    // opened from the list's side it is a new detail, and Back goes through the list's own stack after it
    const both = wide(pick(3), tap("older", "log"), openTo("note"));
    expect(both).toMatchObject({ top: "note", trail: ["log", "older", "note"], back: ["note", "exit"] });
  });
  test("closes the overlays of its list when the detail is opened", () => {
    const seen = wide(tap("filter", "log"), tap("entry", "filter"));
    expect(seen).toMatchObject({ top: "entry", trail: ["log", "entry"], codes: ["closed"] });
  });
  test("leaves the detail usable under a sheet that covers its list alone", () => {
    const shown = wide(pick(3), tap("filter", "log"));
    expect(shown).toMatchObject({ top: "filter", shown: ["log", "filter", "entry"], bars: [{ inert: false }] });
    expect(wide(pick(3), tap("filter", "log"), typing("x", "name", "entry")).codes).toEqual([]);
    expect(wide(pick(3), tap("filter", "log"), pick(4, "log")).codes).toEqual(["ignored"]);
  });
  test("keeps both panes when the device is turned, and shows the one opened last", () => {
    const turned = wide(pick(3), { do: "view", width: 390, height: 844 });
    expect(turned).toMatchObject({ top: "entry", shown: ["entry"], back: ["log", "exit"] });
    expect(wide(pick(3), openTo("log"), { do: "view", width: 390, height: 844 })).toMatchObject({
      top: "log",
      trail: ["log", "entry"],
    });
    expect(wide(pick(3), openTo("log"))).toMatchObject({ top: "entry" });
  });
  test("never hides the bars around it", () => {
    const frame = sky();
    (frame.nodes.entry as ScreenNode).bars = "hide";
    delete frame.nodes.home!.vary;
    expect(runIn(frame, lap, pick(3)).bars).toHaveLength(1);
    expect(run(frame, pick(3)).bars).toEqual([]);
  });
  test("is split from its own band up, and never inside a sheet", () => {
    expect(runIn(sky(byBand("split", { hand: false, desk: true })), lap, pick(3)).shown).toEqual(["entry"]);
    const sheet = frameOf({
      app: stack(["first", "both"]),
      first: screen({ actions: [opening("both")] }),
      both: { kind: "pair", list: "rows", detail: "one", opens: "sheet" },
      rows: list("one", "n"),
      one: screen({ path: "/:n" }),
    });
    expect(runIn(sheet, { width: 1200 }, tap("both"), pick(2)).shown).toEqual(["first", "one"]);
  });
  test("is made with its list when its detail is opened from elsewhere", () => {
    expect(run(sky(), tab("me"), tap("entry"))).toMatchObject({
      top: "entry",
      params: { n: "5" },
      trail: ["log", "entry"],
      codes: ["switched"],
    });
    const late = sky();
    (late.nodes.home as { start: string }).start = "me";
    expect(run(late, tap("entry"))).toMatchObject({ trail: ["log", "entry"], back: ["log", "me", "exit"] });
  });
});
