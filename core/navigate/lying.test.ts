import type { Frame, Node } from "../frame/types.js";
import { frameOf, hub, list, opening, openTo, pick, run, runIn, screen, stack, tab, tap } from "../testing/frames.js";

const wide = { width: 1000 };
/** A pair of two panes, each with hubs and stacks in it, beside another tab. */
const paned = (more: Record<string, Node> = {}, extra: Partial<Frame> = {}): Frame =>
  frameOf(
    {
      app: stack(["pair"]),
      pair: { kind: "pair", list: "left", detail: "right" },
      left: hub(["leftTab", "leftOther"]),
      leftTab: stack(["rows", "filter", "deeper"]),
      rows: list("item", "item", { actions: [opening("filter"), opening("deeper"), opening("item")] }),
      filter: screen({ opens: "sheet", actions: [opening("item")] }),
      deeper: screen(),
      leftOther: screen(),
      right: stack(["item", "menu", "below"]),
      item: screen({ path: "/items/:item", actions: [opening("menu"), opening("below"), opening("rows")] }),
      menu: screen({ opens: "sheet", actions: [opening("deeper")] }),
      below: screen({ actions: [{ id: "gone", label: "Back", place: "body", do: { kind: "back" } }] }),
      ...more,
    },
    extra,
  );

describe("opening into one pane of a split pair", () => {
  test("closes the overlays in the other, however deep they lie", () => {
    const closed = runIn(paned(), wide, pick(1), tap("filter", "rows"), openTo("item", { item: "2" }));
    expect(closed.shown).toEqual(["rows", "item"]);
    expect(closed.codes).toContain("closed");
    const other = runIn(paned(), wide, pick(1), tap("menu", "item"), openTo("deeper"));
    expect([other.shown, other.codes.includes("closed")]).toEqual([["deeper", "item"], true]);
  });
});

describe("the focus and Back in a split pair", () => {
  test("look through a pane, however deep: what lies above its first entry is followed and goes first", () => {
    const deep = runIn(paned(), wide, pick(1), tap("deeper", "rows"));
    expect([deep.top, deep.back]).toEqual(["deeper", ["item", "exit"]]);
    const both = runIn(paned(), wide, pick(1), tap("below"), tap("deeper", "rows"));
    expect([both.top, both.back]).toEqual(["deeper", ["below", "item", "exit"]]);
    const detail = runIn(paned(), wide, pick(1), tap("deeper", "rows"), tap("below", "item"));
    expect([detail.top, detail.back]).toEqual(["below", ["item", "item", "exit"]]);
  });
  test("start at the screen that has the action", () => {
    const at = runIn(paned(), wide, pick(1), tap("below"), tap("deeper", "rows"), tap("gone", "below"));
    expect([at.top, at.shown]).toEqual(["deeper", ["deeper", "item"]]);
  });
  test("choosing a tab in a pane moves the side to it", () => {
    const left = runIn(paned(), wide, tap("deeper"), openTo("item", { item: "1" }));
    expect(left.top).toBe("item");
    const chosen = runIn(paned(), wide, tap("deeper"), openTo("item", { item: "1" }), tab("leftOther"), tab("leftTab"));
    expect(chosen.top).toBe("deeper");
  });
});

describe("what lies over what", () => {
  /** A tab whose stack has a sheet over all, under a stack with one over its region. */
  const lying = (over: Partial<Node>): Frame =>
    frameOf({
      app: stack(["home", "note", "photo"]),
      home: hub(["aTab", "c"]),
      aTab: stack(["a", "share"]),
      a: screen({ actions: [opening("share")] }),
      share: screen({ opens: "sheet", actions: [opening("note"), opening("photo")] }),
      c: screen(),
      note: { ...screen({ opens: "sheet", over: "region" }), ...over } as Node,
      photo: screen({ opens: "fullscreen", over: "region" }),
    });
  test("an overlay over its region that is opened above one over all lies above it", () => {
    const at = run(lying({}), tap("share"), tap("note"));
    expect([at.top, at.shown, at.overlay]).toEqual(["note", ["a", "share", "note"], { node: "note", opens: "sheet" }]);
    expect(run(lying({}), tap("share"), tap("note"), tap("photo", "share")).codes).toEqual(["ignored"]);
  });
  test("a full screen over its region hides what is in it", () => {
    expect(run(lying({}), tap("share"), tap("photo")).shown).toEqual(["photo"]);
    const inTab = frameOf({
      app: stack(["home"]),
      home: hub(["aTab", "c"]),
      aTab: stack(["a", "photo"]),
      a: screen({ actions: [opening("photo")] }),
      photo: screen({ opens: "fullscreen", over: "region" }),
      c: screen(),
    });
    const at = run(inTab, tap("photo"));
    expect([at.shown, at.bars.map(({ inert }) => inert)]).toEqual([["photo"], [false]]);
  });
});

describe("opening", () => {
  test("what is there already takes what is handed over now", () => {
    const frame = frameOf({
      app: stack(["a", "b"]),
      a: screen({ actions: [opening("b", { with: { from: "a" } })] }),
      b: screen({ actions: [opening("b", { with: { from: "b" } })] }),
    });
    expect(run(frame, tap("b")).carried).toEqual({ from: "a" });
    expect(run(frame, tap("b"), tap("b"))).toMatchObject({ carried: { from: "b" }, codes: ["already-there"] });
  });
  test("with `clear` forgets the visits of the hub that is opened too", () => {
    const frame = frameOf({
      app: stack(["home"]),
      home: hub(["a", "b", "c"], { back: "visited" }),
      a: screen(),
      b: screen(),
      c: screen({ actions: [opening("home", { how: "clear" })] }),
    });
    expect(run(frame, tab("b"), tab("c")).back).toEqual(["b", "a", "exit"]);
    expect(run(frame, tab("b"), tab("c"), tap("home")).back).toEqual(["exit"]);
  });
  test("with `clear` inside a sheet keeps the app beneath", () => {
    const frame = frameOf({
      app: stack(["a", "b", "flow"]),
      a: screen({ actions: [opening("b")] }),
      b: screen({ actions: [opening("flow")] }),
      flow: stack(["one", "two", "three"], { opens: "sheet" }),
      one: screen({ actions: [opening("two")] }),
      two: screen({ actions: [opening("three", { how: "clear" })] }),
      three: screen(),
    });
    const at = run(frame, tap("b"), tap("flow"), tap("two"), tap("three"));
    expect([at.top, at.back]).toEqual(["three", ["b", "a", "exit"]]);
  });
  test("takes the first place of a shared screen down the tree", () => {
    const frame = frameOf({
      app: stack(["home"]),
      home: hub(["free", "box"]),
      free: screen(),
      // its own stack has it too, but the one inside an earlier child comes first
      box: stack(["inner", "shared"]),
      inner: stack(["first", "shared"]),
      first: screen(),
      shared: screen(),
    });
    expect(run(frame, openTo("shared")).trail).toEqual(["first", "shared"]);
  });
});

test("each pane's strip goes back in its pane", () => {
  const frame = paned({}, {});
  const at = runIn(frame, wide, pick(1), tap("below"), tap("deeper", "rows"), { do: "up", in: "below" });
  expect([at.top, at.shown]).toEqual(["deeper", ["deeper", "item"]]);
});
