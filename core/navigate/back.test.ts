import type { Target } from "../frame/parts.js";
import {
  back,
  frameOf,
  hub,
  opening,
  pick,
  run,
  runIn,
  screen,
  stack,
  tab,
  tabbed,
  tap,
  typing,
  up,
} from "../testing/frames.js";

const swipe: Target = { id: "swipe", label: "Swipe", systemBack: false, edgeSwipe: true };
const plain: Target = { id: "plain", label: "Plain", systemBack: false };

describe("Back", () => {
  test("takes the top off the deepest stack that has more than one entry", () => {
    const seen = run(tabbed(), pick(1), tap("deep"), back);
    expect(seen).toMatchObject({ top: "item", trail: ["a", "item"] });
    expect(seen.moves).toEqual([{ kind: "pop", in: "aTab", leaving: "deep", entering: "item", toward: "back" }]);
  });
  test("leaves the app at the bottom, which keeps its entries until the person returns", () => {
    const left = run(tabbed(), { do: "scroll", to: 20 }, back);
    expect(left).toMatchObject({ top: null, outside: true, back: [], bars: [], shown: [] });
    expect(run(tabbed(), { do: "scroll", to: 20 }, back, { do: "return" })).toMatchObject({
      top: "a",
      ui: { scroll: 20 },
      outside: false,
    });
  });
  test("while the app is left, opening something brings it back, and touches are ignored", () => {
    expect(run(tabbed(), back, { do: "open", to: "b" })).toMatchObject({ top: "b", outside: false });
    expect(run(tabbed(), back, pick(1))).toMatchObject({ outside: true, codes: ["ignored"] });
    expect(run(tabbed(), { do: "return" }).codes).toEqual(["ignored"]);
  });
  test("is ignored on a target that has none", () => {
    expect(runIn({ ...tabbed(), targets: [swipe] }, {}, pick(1), back)).toMatchObject({
      top: "item",
      codes: ["ignored"],
    });
  });
});

describe("up", () => {
  test("takes the top off the innermost stack that has more than one entry, through a hub too, and never leaves or switches", () => {
    expect(run(tabbed(), pick(1), up).top).toBe("a");
    expect(run(tabbed(), tab("bTab"), up)).toMatchObject({ top: "b", codes: ["ignored"] });
    const above = frameOf({
      app: stack(["intro", "home"]),
      intro: screen({ actions: [opening("home")] }),
      home: hub(["one"]),
      one: screen(),
    });
    expect(run(above, tap("home"), up).top).toBe("intro");
  });
});

describe("the ladder", () => {
  const targets = [{ id: "key", label: "Key" }, swipe, plain];
  const frame = { ...tabbed(), targets };
  const events = [pick(1), tap("deep")];

  test("on a target with Back it is Back until the app is left", () => {
    expect(runIn(frame, { target: "key" }, ...events).back).toEqual(["item", "a", "exit"]);
  });
  test("on a target without it goes by strips and the edge, and stays at the bottom", () => {
    expect(runIn(frame, { target: "swipe" }, ...events).back).toEqual(["item", "a", "stay"]);
    expect(runIn(frame, { target: "plain" }, ...events).back).toEqual(["item", "a", "stay"]);
  });
  test("a screen without a strip is a trap where there is no edge swipe, unless an action closes it", () => {
    const bare = { ...tabbed({}, { cover: screen({ header: "off" }) }), targets };
    expect(runIn(bare, { target: "swipe" }, pick(1), tap("cover")).back).toEqual(["item", "a", "stay"]);
    expect(runIn(bare, { target: "plain" }, pick(1), tap("cover")).back).toEqual(["stay"]);
    expect(runIn(frame, { target: "plain" }, pick(1), tap("cover")).back).toEqual(["item", "a", "stay"]);
  });
});

describe("actions that go back", () => {
  const frame = (kind: "back" | "root" | "menu") =>
    tabbed({}, { deep: screen({ actions: [{ id: "go", label: "Go", place: "body", do: { kind } }] }) });

  test("`back` is Back, and up where the target has none", () => {
    expect(run(frame("back"), pick(1), tap("deep"), tap("go")).top).toBe("item");
    expect(runIn({ ...frame("back"), targets: [swipe] }, {}, pick(1), tap("deep"), tap("go")).top).toBe("item");
  });
  test("`root` leaves the innermost stack with its first entry", () => {
    expect(run(frame("root"), pick(1), tap("deep"), tap("go")).trail).toEqual(["a"]);
  });
  test("`menu` is ignored where no hub shows as a drawer", () => {
    expect(run(frame("menu"), pick(1), tap("deep"), tap("go")).codes).toEqual(["ignored"]);
  });
  test("`close` hands what it gives to the screen that is on top then", () => {
    expect(run(tabbed(), pick(1), tap("cover"), tap("shut"))).toMatchObject({
      top: "item",
      ui: { received: { seen: "yes" } },
    });
  });
});

describe("headers", () => {
  test("a stack draws one for its top screen, with Back when something lies beneath", () => {
    expect(run(tabbed()).headers).toEqual([{ by: "aTab", title: "A", back: false, menu: false, close: false }]);
    expect(run(tabbed(), pick(4)).headers).toEqual([
      { by: "aTab", title: "Item 4", back: true, menu: false, close: false },
    ]);
  });
  test("what lies beneath is looked for through nested stacks, up to the nearest hub", () => {
    const nested = frameOf({
      app: stack(["one", "flow"]),
      one: screen({ actions: [opening("flow")] }),
      flow: stack(["two"]),
      two: screen(),
    });
    expect(run(nested, tap("flow")).headers).toMatchObject([{ by: "flow", back: true }]);
    const above = frameOf({
      app: stack(["one", "home"]),
      one: screen({ actions: [opening("home")] }),
      home: hub(["two"], { strip: true }),
      two: screen({ title: "Two" }),
    });
    expect(run(above, tap("home")).headers).toMatchObject([
      { by: "home", title: "Two", back: true },
      { by: "home", title: "Two", back: false },
    ]);
  });
  test("`header` turns them off, or on for a container", () => {
    expect(run(tabbed({}, { a: screen({ header: "off" }) })).headers).toEqual([]);
    expect(
      run(
        tabbed({}, { aTab: stack(["a"]), home: hub(["aTab"], { header: "on", title: "Home" }), cover: screen() }),
      ).headers.map((header) => header.by),
    ).toEqual(["app", "aTab"]);
  });
  test("a screen that is itself a tab has one by its hub", () => {
    expect(run(tabbed(), tab("c")).headers).toMatchObject([{ by: "home", title: "c", back: false }]);
  });
});

test("typing goes to a field that is there", () => {
  expect(run(tabbed(), tab("bTab"), tap("form"), typing("Ada")).ui.drafts).toEqual({ name: "Ada" });
  expect(run(tabbed(), tab("bTab"), tap("form"), typing("Ada", "other")).codes).toEqual(["ignored"]);
  expect(run(tabbed(), typing("Ada")).codes).toEqual(["ignored"]);
});
