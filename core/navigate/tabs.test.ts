import type { HubNode } from "../frame/types.js";
import {
  byBand,
  back,
  frameOf,
  hub,
  openTo,
  pick,
  run,
  runIn,
  screen,
  stack,
  tab,
  tabbed,
  tap,
  typing,
} from "../testing/frames.js";

describe("what a tab keeps when it is left", () => {
  const away = (keep: HubNode["keep"]) =>
    run(tabbed({ keep }), tab("bTab"), tap("form"), typing("half"), { do: "scroll", to: 40 }, tab("aTab"), tab("bTab"));

  test("`live`, the default, keeps entries, scroll and drafts", () => {
    expect(away(undefined)).toMatchObject({ top: "form", ui: { scroll: 40, drafts: { name: "half" } } });
  });
  test("`place` keeps the entries and empties what was left on them, saying which drafts went", () => {
    expect(away("place")).toMatchObject({ top: "form", ui: { scroll: 0, drafts: {} } });
    expect(run(tabbed({ keep: "place" }), tab("bTab"), tap("form"), typing("half"), tab("aTab")).codes).toEqual([
      "draft-lost",
    ]);
  });
  test("`fresh` keeps nothing: the tab is made anew when it next shows", () => {
    expect(away("fresh")).toMatchObject({ top: "b" });
    expect(run(tabbed({ keep: "fresh" }), pick(1), tab("bTab")).tabs).toEqual({ bTab: ["b"] });
  });
  test("it holds whichever way the tab is left: by Back and by opening a screen elsewhere too", () => {
    expect(run(tabbed({ keep: "fresh" }), tab("bTab"), back).tabs).toEqual({ aTab: ["a"] });
    expect(run(tabbed({ keep: "fresh" }), tab("bTab"), openTo("deep")).tabs).toEqual({ aTab: ["a", "deep"] });
  });
});

describe("choosing the tab already chosen", () => {
  const again = (rule: HubNode["again"]) =>
    run(tabbed({ again: rule }), pick(1), tap("deep"), { do: "scroll", to: 30 }, tab("aTab"));

  test("`root`, the default, goes back to its first screen, and from there scrolls to the top", () => {
    expect(again(undefined).trail).toEqual(["a"]);
    expect(run(tabbed(), { do: "scroll", to: 30 }, tab("aTab")).ui.scroll).toBe(0);
    expect(run(tabbed(), { do: "scroll", to: 30 }, pick(1), tab("aTab")).ui.scroll).toBe(30);
  });
  test("`top` scrolls to the top and stays", () =>
    expect(again("top")).toMatchObject({ top: "deep", ui: { scroll: 0 } }));
  test("`none` does nothing", () =>
    expect(again("none")).toMatchObject({ top: "deep", ui: { scroll: 30 }, moves: [] }));
});

describe("Back at a tab's first screen", () => {
  test("`start`, the default, goes to the start tab, then out", () => {
    expect(run(tabbed(), tab("bTab"), tab("c")).back).toEqual(["a", "exit"]);
  });
  test("`visited` goes to the tab before, each tab once, then out", () => {
    const frame = tabbed({ back: "visited" });
    expect(run(frame, tab("bTab"), tab("c")).back).toEqual(["b", "a", "exit"]);
    expect(run(frame, tab("bTab"), tab("c"), tab("bTab")).back).toEqual(["c", "a", "exit"]);
  });
  test("`leave` goes out of the hub at once", () =>
    expect(run(tabbed({ back: "leave" }), tab("bTab")).back).toEqual(["exit"]));
  test("what lies beneath the hub comes next", () => {
    const frame = frameOf({
      app: stack(["intro", "home"]),
      intro: screen(),
      home: hub(["one", "two"]),
      one: screen(),
      two: screen(),
    });
    expect(run(frame, openTo("two")).back).toEqual(["one", "intro", "exit"]);
  });
  test("a switch moves toward its side by the order of the tabs", () => {
    expect(run(tabbed(), tab("c")).moves[0]).toMatchObject({
      kind: "switch",
      in: "home",
      entering: "c",
      toward: "forward",
    });
    expect(run(tabbed(), tab("c"), back).moves[0]).toMatchObject({ kind: "switch", entering: "aTab", toward: "back" });
  });
});

describe("which tabs can be chosen", () => {
  test("with more tabs than its limit, a bar shows one less and lists the rest behind More", () => {
    const frame = tabbed({ limit: 2 });
    expect(run(frame).bars[0]).toMatchObject({ more: ["bTab", "c"] });
    expect(run(frame, tab("c")).top).toBe("c");
    expect(runIn(tabbed({ limit: 2, face: "rail" }), {}).bars[0]).toMatchObject({ face: "rail", more: [] });
  });
  test("a hidden tab is in no face, but can be opened", () => {
    const frame = tabbed({}, { c: screen({ tab: { hidden: true } }) });
    expect(run(frame, tab("c")).codes).toEqual(["ignored"]);
    expect(run(frame, openTo("c")).top).toBe("c");
  });
  test("a tab behind a cover, or of a bar that is gone, cannot be chosen", () => {
    expect(run(tabbed(), pick(1), tap("cover"), tab("bTab")).codes).toEqual(["ignored"]);
    const hiding = tabbed({}, { item: screen({ bars: "hide" }) });
    expect(run(hiding, pick(1), tab("bTab"))).toMatchObject({ top: "item", codes: ["ignored"] });
  });
});

describe("faces and bars", () => {
  const faces = byBand("face", { hand: "bar", lap: "rail", desk: "panel" });
  test("a face is that of the band, else of the next narrower one", () => {
    const at = (width: number, frame = tabbed(faces)) => runIn(frame, { width }).bars[0]?.face;
    expect([at(390), at(560), at(959), at(960)]).toEqual(["bar", "rail", "rail", "panel"]);
    expect(at(1200, tabbed())).toBe("bar");
    expect(at(390, tabbed(byBand("face", { hand: "none", desk: "rail" })))).toBeUndefined();
  });
  test("a target has faces of its own, and a low view the short one", () => {
    const frame = {
      ...tabbed({
        ...faces,
        vary: [...faces.vary!, { on: ["b"], set: { face: "top" } }, { short: true, set: { face: "rail" } }],
      }),
      short: 480,
      targets: [
        { id: "a", label: "A" },
        { id: "b", label: "B" },
      ],
    };
    expect(runIn(frame, { target: "b" }).bars[0]?.face).toBe("top");
    expect(runIn(frame, { width: 500, height: 400 }).bars[0]?.face).toBe("rail");
  });
  test("`bars: hide` takes bars away, and leaves rails and panels", () => {
    const hiding = tabbed(faces, { item: screen({ bars: "hide", path: "/a/:item" }) });
    expect(runIn(hiding, {}, pick(1)).bars).toEqual([]);
    expect(runIn(hiding, { width: 700 }, pick(1)).bars).toHaveLength(1);
    expect(runIn(hiding, {}, pick(1), back).bars).toHaveLength(1);
  });
});
