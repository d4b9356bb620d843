import { pick, runIn, screen, tabbed, tap } from "../testing/frames.js";
import type { Frame, HubNode } from "../frame/types.js";
import type { View } from "../frame/view.js";
import type { NavigationEvent } from "../navigate/events.js";
import { arrange } from "./arrange.js";

const regions = (frame: Frame, given: Partial<View>, ...events: NavigationEvent[]) => {
  const { at, view } = runIn(frame, { width: 400, height: 800, ...given }, ...events);
  return arrange(frame, at.state, view).map(
    ({ role, node, x, y, width, height }) => `${role} ${node} ${x},${y} ${width}x${height}`,
  );
};
const faces: HubNode["faces"] = { hand: "bar", lap: "rail", desk: "panel" };

describe("the arrangement", () => {
  test("a bar lies at the foot, a header at the top, the content between them", () => {
    expect(regions(tabbed(), {})).toEqual([
      "content a 0,50 400x690",
      "header aTab 0,0 400x50",
      "bar home 0,740 400x60",
    ]);
  });
  test("a rail and a panel lie at the start edge, which is the right one from right to left", () => {
    expect(regions(tabbed({ faces }), { width: 700 })).toEqual([
      "content a 76,50 624x750",
      "header aTab 76,0 624x50",
      "rail home 0,0 76x800",
    ]);
    expect(regions(tabbed({ faces }), { width: 1000, rtl: true })).toEqual([
      "content a 0,50 760x750",
      "header aTab 0,0 760x50",
      "panel home 760,0 240x800",
    ]);
  });
  test("top tabs lie under the hub's own header and over what shows in it", () => {
    expect(regions(tabbed({ faces: { hand: "top" }, strip: true }), {})).toEqual([
      "content a 0,146 400x654",
      "header aTab 0,96 400x50",
      "top home 0,50 400x46",
      "header home 0,0 400x50",
    ]);
  });
  test("what covers the hub has the whole view", () => {
    expect(regions(tabbed(), {}, pick(1), tap("cover"))).toEqual(["content cover 0,0 400x800"]);
  });
  test("insets lengthen what lies at their edge, and content keeps clear of them", () => {
    const insets = { top: 30, right: 4, bottom: 20, left: 8 };
    expect(regions(tabbed(), { insets })).toEqual([
      "content a 8,80 388x640",
      "header aTab 0,0 400x80",
      "bar home 0,720 400x80",
    ]);
    expect(regions(tabbed({ faces }), { width: 700, insets })).toEqual([
      "content a 84,80 612x700",
      "header aTab 84,0 616x80",
      "rail home 0,0 84x800",
    ]);
  });
  test("under a floating hub the content goes on", () => {
    expect(regions(tabbed({ floating: true }), {})[0]).toBe("content a 0,50 400x750");
  });
  test("the frame's own sizes replace the usual ones", () => {
    expect(regions({ ...tabbed(), theme: { sizes: { bar: 80, header: 40 } } }, {})[0]).toBe("content a 0,40 400x680");
  });
  test("a view too small for its bars has no content, and nothing below nothing", () => {
    for (const region of arrange(
      tabbed(),
      runIn(tabbed(), {}).at.state,
      runIn(tabbed(), { width: 10, height: 70 }).view,
    )) {
      expect(region.width).toBeGreaterThanOrEqual(0);
      expect(region.height).toBeGreaterThanOrEqual(0);
    }
  });
  test("an app that was left shows nothing", () =>
    expect(regions(tabbed({}, { a: screen() }), {}, { do: "back" })).toEqual([]));
});
