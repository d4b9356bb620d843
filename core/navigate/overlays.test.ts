import type { Frame, HubNode, ScreenNode } from "../frame/types.js";
import type { Opens } from "../frame/parts.js";
import {
  byBand,
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
  back,
} from "../testing/frames.js";
import type { NavigationEvent } from "./event.js";

const dismiss: NavigationEvent = { do: "dismiss" };
const close = (give?: Record<string, string>): NonNullable<ScreenNode["actions"]>[number] => ({
  id: "shut",
  label: "Close",
  place: "body",
  do: { kind: "close", ...(give && { give }) },
});
const form: ScreenNode["body"] = { kind: "form", fields: [{ id: "litres", label: "Litres", input: "text" }] };

/** A tab with a list, from which `log` opens as an overlay; `flow` is a stack of two steps that opens as one. */
const logging = (log: Partial<ScreenNode> = { opens: "sheet" }, home: Partial<HubNode> = {}): Frame =>
  frameOf({
    app: stack(["home"]),
    home: hub(["aTab", "b"], home),
    aTab: stack(["a", "item", "log", "flow", "ask"]),
    a: list("item", "item", { path: "/a", title: "A", actions: [opening("log"), opening("flow")] }),
    item: screen({ path: "/a/:item", actions: [opening("log")] }),
    log: screen({
      title: "Log",
      body: form,
      actions: [close({ litres: "{draft.litres}" }), opening("item", { params: { item: "1" } }), opening("ask")],
      ...log,
    }),
    ask: screen({ opens: "dialog" }),
    flow: stack(["one", "two"], { opens: "sheet" }),
    one: screen({ title: "One", actions: [opening("two")] }),
    two: screen({ title: "Two", actions: [close()] }),
    b: screen({ actions: [opening("log")] }),
  });
const bar = { hub: "home", face: "bar", active: "aTab", more: [], open: false };

describe("an overlay", () => {
  test("lies over the screen, which stays in sight, and dims the bar", () => {
    const seen = run(logging(), pick(2), tap("log"));
    expect(seen).toMatchObject({
      top: "log",
      shown: ["item", "log"],
      trail: ["a", "item", "log"],
      overlay: { node: "log", opens: "sheet" },
      bars: [{ ...bar, inert: true }],
      headers: [],
      back: ["item", "a", "exit"],
    });
    expect(seen.moves).toEqual([{ kind: "open", in: "aTab", leaving: "item", entering: "log", toward: "forward" }]);
  });

  test("makes inert what lies beneath: a tab, a row, an action there", () => {
    for (const event of [tab("b"), pick(3, "a"), tap("log", "a")] as NavigationEvent[])
      expect(run(logging(), tap("log"), event)).toMatchObject({ top: "log", codes: ["ignored"] });
  });

  test("over its region alone leaves the bar usable", () => {
    const seen = run(logging({ opens: "sheet", over: "region" }), tap("log"));
    expect(seen.bars).toEqual([{ ...bar, inert: false }]);
    expect(run(logging({ opens: "sheet", over: "region" }), tap("log"), tab("b")).top).toBe("b");
    expect(run(logging({ opens: "sheet", over: "region" }), tap("log"), pick(3, "a")).codes).toEqual(["ignored"]);
  });

  test("as a full screen covers everything; over its region alone it leaves the bar", () => {
    const all = run(logging({ opens: "fullscreen" }), tap("log"));
    expect(all).toMatchObject({ shown: ["log"], bars: [] });
    expect(all.headers).toEqual([{ by: "aTab", title: "Log", back: false, menu: false, close: true }]);
    const region = run(logging({ opens: "fullscreen", over: "region" }), tap("log"));
    expect(region).toMatchObject({ shown: ["log"], bars: [{ ...bar, inert: false }] });
  });

  test("is dismissed, but for a full screen", () => {
    for (const opens of ["sheet", "dialog", "side"] as Opens[])
      expect(run(logging({ opens }), tap("log"), dismiss)).toMatchObject({
        top: "a",
        moves: [{ kind: "close", leaving: "log", entering: "a", toward: "back" }],
      });
    expect(run(logging({ opens: "fullscreen" }), tap("log"), dismiss)).toMatchObject({
      top: "log",
      codes: ["ignored"],
    });
    expect(run(logging(), dismiss).codes).toEqual(["ignored"]);
  });

  test("that is dismissed loses its drafts, and says so; what it gives away is not lost", () => {
    expect(run(logging(), tap("log"), typing("9", "litres"), dismiss).codes).toEqual(["draft-lost"]);
    const given = run(logging(), tap("log"), typing("9", "litres"), tap("shut"));
    expect(given).toMatchObject({ top: "a", codes: [], ui: { received: { litres: "9" } } });
  });

  test("closes when something is pushed in its stack: it lay over that, and gives way", () => {
    const seen = run(logging(), tap("log"), tap("item"));
    expect(seen).toMatchObject({ trail: ["a", "item"], codes: ["closed"] });
    expect(seen.moves).toEqual([
      { kind: "close", in: "aTab", leaving: "log", entering: "a", toward: "back" },
      { kind: "push", in: "aTab", leaving: "a", entering: "item", toward: "forward" },
    ]);
  });

  test("closes alone when what is opened lies right beneath it", () => {
    const seen = run(logging(), pick(1), tap("log"), tap("item"));
    expect(seen).toMatchObject({ trail: ["a", "item"], codes: ["already-there"] });
  });

  test("lies on another, and is taken off first", () => {
    const seen = run(logging(), tap("log"), tap("ask"));
    expect(seen).toMatchObject({ shown: ["a", "log", "ask"], overlay: { node: "ask", opens: "dialog" } });
    expect(run(logging(), tap("log"), tap("ask"), { do: "type", field: "litres", text: "1", in: "log" }).codes).toEqual(
      ["ignored"],
    );
    expect(run(logging(), tap("log"), tap("ask"), dismiss).top).toBe("log");
  });

  test("with a stack inside goes on within, and leaves as a whole", () => {
    const seen = run(logging(), tap("flow"), tap("two"));
    expect(seen).toMatchObject({ top: "two", shown: ["a", "two"], overlay: { node: "flow", opens: "sheet" } });
    expect(seen.back).toEqual(["one", "a", "exit"]);
    expect(run(logging(), tap("flow"), tap("two"), dismiss).top).toBe("a");
    expect(run(logging(), tap("flow"), tap("two"), tap("shut")).top).toBe("a");
    expect(run(logging(), tap("flow"), tap("two"), up).top).toBe("one");
  });

  test("has a close on its lowest strip, and Back on those above", () => {
    expect(run(logging(), tap("flow")).headers).toEqual([
      { by: "flow", title: "One", back: false, menu: false, close: true },
    ]);
    expect(run(logging(), tap("flow"), tap("two")).headers).toEqual([
      { by: "flow", title: "Two", back: true, menu: false, close: false },
    ]);
  });

  test("is what the way in says, else what its target or band says, else what it says itself", () => {
    const frame = logging({
      opens: "sheet",
      vary: [
        { from: "lap", set: { opens: "dialog" } },
        { on: ["swipe"], set: { opens: "fullscreen" } },
      ],
    });
    const at = (view: object, ...events: NavigationEvent[]) =>
      runIn({ ...frame, targets }, view, ...events).overlay?.opens;
    const targets = [
      { id: "key", label: "Key" },
      { id: "swipe", label: "Swipe", systemBack: false },
    ];
    expect(at({}, tap("log"))).toBe("sheet");
    expect(at({ width: 1200 }, tap("log"))).toBe("dialog");
    expect(at({ width: 1200, target: "swipe" }, tap("log"))).toBe("fullscreen");
    const once = logging({ opens: "sheet" });
    (once.nodes.a as ScreenNode).actions = [opening("log", { as: "side" })];
    expect(run(once, tap("log")).overlay?.opens).toBe("side");
  });

  test("beneath a push of a narrower view counts as pushed; turning back shows it as it was", () => {
    const frame = logging(byBand("opens", { lap: "sheet" }));
    const wide = { do: "view", width: 700, height: 900 } as const;
    const pushed = run(frame, tap("log"), openTo("item", { item: "1" }), wide);
    expect(pushed).toMatchObject({ trail: ["a", "log", "item"], overlay: null, shown: ["item"] });
    expect(run(frame, tap("log"), wide).overlay).toEqual({ node: "log", opens: "sheet" });
  });

  test("opened again over itself is there already", () => {
    expect(run(logging(), tap("log"), openTo("log"))).toMatchObject({ trail: ["a", "log"], codes: ["already-there"] });
  });

  test("keeps hidden the bar that the screen beneath hides", () => {
    const frame = logging();
    (frame.nodes.item as ScreenNode).bars = "hide";
    expect(run(frame, pick(1), tap("log")).bars).toEqual([]);
  });

  test("closes only itself where a system has no Back: by its strip, by dismissing, else by its action", () => {
    const targets = [{ id: "bare", label: "Bare", systemBack: false }];
    const on = (log: Partial<ScreenNode>) => run({ ...logging(log), targets }, tap("log")).back;
    expect(on({ opens: "sheet" })).toEqual(["a", "stay"]);
    expect(on({ opens: "fullscreen" })).toEqual(["a", "stay"]);
    expect(on({ opens: "fullscreen", header: "off" })).toEqual(["a", "stay"]);
    expect(on({ opens: "fullscreen", header: "off", actions: [] })).toEqual(["stay"]);
  });

  test("is not taken off by an edge swipe without a strip", () => {
    const targets = [{ id: "edge", label: "Edge", systemBack: false, edgeSwipe: true }];
    expect(run({ ...logging({ opens: "fullscreen", header: "off", actions: [] }), targets }, tap("log")).back).toEqual([
      "stay",
    ]);
  });

  test("Back takes it off before anything else", () => {
    expect(run(logging(), pick(2), tap("log"), back).top).toBe("item");
  });
});
