import type { HubNode } from "../frame/types.js";
import { byBand, back, opening, pick, run, runIn, tab, tabbed, tap, up } from "../testing/frames.js";
import type { NavigationEvent } from "./event.js";

const menu: NavigationEvent = { do: "menu" };
const drawer = (more: Partial<HubNode> = {}) =>
  tabbed({ ...byBand("face", { hand: "drawer", lap: "panel" }), extras: [opening("cover")], ...more });
const bar = { hub: "home", face: "drawer", active: "aTab", more: [] };

describe("a drawer", () => {
  test("is closed at first, and its button stands in the first screen's strip", () => {
    const seen = run(drawer());
    expect(seen.bars).toEqual([{ ...bar, inert: false, open: false }]);
    expect(seen.headers).toEqual([{ by: "aTab", title: "A", back: false, menu: true, close: false }]);
    expect(run(drawer(), pick(1)).headers[0]).toMatchObject({ back: true, menu: false });
  });
  test("has its button in the hub's own strip, where there is one", () => {
    expect(run(drawer({ strip: true })).headers.map(({ by, menu: has }) => [by, has])).toEqual([
      ["home", true],
      ["aTab", false],
    ]);
  });
  test("opens, and all else is inert until it closes", () => {
    expect(run(drawer(), menu).bars).toEqual([{ ...bar, inert: false, open: true }]);
    for (const event of [pick(1), up, { do: "scroll", to: 9 }] as NavigationEvent[])
      expect(run(drawer(), menu, event)).toMatchObject({ top: "a", codes: ["ignored"], bars: [{ open: true }] });
  });
  test("closes by Back, by dismissing, by its button and by choosing a tab", () => {
    for (const event of [back, { do: "dismiss" }, menu, tab("bTab"), tab("aTab")] as NavigationEvent[])
      expect(run(drawer(), menu, event).bars).toMatchObject([{ open: false }]);
    expect(run(drawer(), menu, tab("bTab"))).toMatchObject({ top: "b" });
    expect(run(drawer(), menu).back).toEqual(["a", "exit"]);
  });
  test("offers its tabs only while it is open", () => {
    expect(run(drawer(), tab("bTab"))).toMatchObject({ top: "a", codes: ["ignored"] });
  });
  test("closes by an extra that was carried out, but not by one that was refused", () => {
    const facts = [{ id: "on", label: "On" }];
    const set = { id: "set", label: "Set", place: "footer", do: { kind: "set", fact: "on", is: true } } as const;
    const gone = { ...opening("deep"), do: { kind: "open", to: "nowhere" } } as const;
    const frame = { ...drawer({ extras: [set, gone] }), facts };
    expect(run(frame, menu, { do: "tap", action: "set", in: "home" }).bars).toMatchObject([{ open: false }]);
    expect(run(frame, menu, { do: "tap", action: "deep", in: "home" }).bars).toMatchObject([{ open: true }]);
  });
  test("offers the hub's extras while it is open; a panel always does", () => {
    const cover: NavigationEvent = tap("cover", "home");
    expect(run(drawer(), cover).codes).toEqual(["ignored"]);
    expect(run(drawer(), menu, cover)).toMatchObject({ top: "cover", bars: [] });
    expect(runIn(drawer(), { width: 700 }, cover).top).toBe("cover");
    expect(run(drawer({ face: "bar" }), cover).codes).toEqual(["ignored"]);
  });
  test("closes when something is opened from outside", () => {
    expect(run(drawer(), menu, { do: "open", to: "b" })).toMatchObject({ top: "b", bars: [{ open: false }] });
  });
  test("is not there where the hub shows another face, nor under a cover", () => {
    expect(runIn(drawer(), { width: 700 }, menu).codes).toEqual(["ignored"]);
    expect(run(drawer(), pick(1), tap("cover"), menu).codes).toEqual(["ignored"]);
  });
  test("that was open stays open for when the view shows it again", () => {
    const wide = run(drawer(), menu, { do: "view", width: 700, height: 800 });
    expect(wide.bars).toEqual([{ ...bar, face: "panel", inert: false, open: false }]);
    expect(
      run(drawer(), menu, { do: "view", width: 700, height: 800 }, { do: "view", width: 400, height: 800 }).bars,
    ).toMatchObject([{ open: true }]);
  });
  test("asked to be as it is already says so", () => {
    expect(run(drawer(), { do: "menu", open: false }).codes).toEqual(["ignored"]);
    expect(run(drawer(), { do: "menu", open: true }).bars).toMatchObject([{ open: true }]);
  });
});
