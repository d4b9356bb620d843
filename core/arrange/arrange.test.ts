import { byBand, pick, runIn, screen, tabbed, tap } from "../testing/frames.js";
import type { Frame, HubNode, ScreenNode } from "../frame/types.js";
import type { View } from "../frame/view.js";
import type { NavigationEvent } from "../navigate/event.js";
import { arrange } from "./arrange.js";

const regions = (frame: Frame, given: Partial<View>, ...events: NavigationEvent[]) => {
  const { at, view } = runIn(frame, { width: 400, height: 800, ...given }, ...events);
  return arrange(frame, at.state, view).map(
    ({ role, node, x, y, width, height }) => `${role} ${node} ${x},${y} ${width}x${height}`,
  );
};
const faces = byBand("face", { hand: "bar", lap: "rail", desk: "panel" });

describe("the arrangement", () => {
  test("a bar lies at the foot, a header at the top, the content between them", () => {
    expect(regions(tabbed(), {})).toEqual([
      "content a 0,50 400x690",
      "header aTab 0,0 400x50",
      "bar home 0,740 400x60",
    ]);
  });
  test("a rail and a panel lie at the start edge, which is the right one from right to left", () => {
    expect(regions(tabbed(faces), { width: 700 })).toEqual([
      "content a 76,50 624x750",
      "header aTab 76,0 624x50",
      "rail home 0,0 76x800",
    ]);
    expect(regions(tabbed(faces), { width: 1000, rtl: true })).toEqual([
      "content a 0,50 760x750",
      "header aTab 0,0 760x50",
      "panel home 760,0 240x800",
    ]);
  });
  test("top tabs lie under the hub's own header and over what shows in it", () => {
    expect(regions(tabbed({ face: "top", strip: true }), {})).toEqual([
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
    expect(regions(tabbed(faces), { width: 700, insets })).toEqual([
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

describe("the arrangement of what lies over", () => {
  const open = (log: Partial<ScreenNode>, given: Partial<View> = {}, home: Partial<HubNode> = {}) =>
    regions(tabbed(home, { deep: screen({ opens: "sheet", ...log }) }), given, { do: "open", to: "deep" }).slice(3);

  test("a sheet stands at the foot, as high as its first rest, over a scrim over everything", () => {
    expect(open({ rest: [0.5, 0.9] })).toEqual([
      "scrim deep 0,0 400x800",
      "sheet deep 0,400 400x400",
      "content deep 0,400 400x400",
    ]);
    expect(open({}, { width: 1000 })).toContain("sheet deep 220,320 560x480");
  });
  test("over its region it covers what its stack covers, header and all", () => {
    expect(open({ over: "region", rest: [0.5] }).slice(0, 3)).toEqual([
      "sheet deep 0,370 400x370",
      "content deep 0,370 400x370",
      "bar home 0,740 400x60",
    ]);
  });
  test("a dialog stands in the middle, a side panel at its edge, a full screen over all", () => {
    expect(open({ opens: "dialog" })[1]).toBe("dialog deep 24,220 352x360");
    expect(open({ opens: "side" })[1]).toBe("side deep 0,0 344x800");
    expect(open({ opens: "side", edge: "end" })[1]).toBe("side deep 56,0 344x800");
    expect(open({ opens: "side" }, { rtl: true })[1]).toBe("side deep 56,0 344x800");
    expect(regions(tabbed({}, { deep: screen({ opens: "fullscreen" }) }), {}, { do: "open", to: "deep" })).toEqual([
      "fullscreen deep 0,0 400x800",
      "content deep 0,50 400x750",
      "header aTab 0,0 400x50",
    ]);
  });
  test("its content keeps clear of the insets it touches, and of its own strip", () => {
    const insets = { top: 40, right: 0, bottom: 30, left: 0 };
    expect(open({ rest: [0.5], header: "on" }, { insets }).slice(1)).toEqual([
      "sheet deep 0,400 400x400",
      "content deep 0,450 400x320",
      "header aTab 0,400 400x50",
    ]);
  });
  test("a sheet that is dragged stands as high as it was dragged", () => {
    const { at, view } = runIn(
      tabbed({}, { deep: screen({ opens: "sheet", rest: [0.5, 0.9] }) }),
      { width: 400, height: 800 },
      { do: "open", to: "deep" },
    );
    const { frame } = { frame: tabbed({}, { deep: screen({ opens: "sheet", rest: [0.5, 0.9] }) }) };
    const key = arrange(frame, at.state, view).find(({ role }) => role === "sheet")!.key;
    const dragged = arrange(frame, at.state, view, { heights: new Map([[key, 0.9]]) });
    expect(dragged.find(({ role }) => role === "sheet")).toMatchObject({ y: 80, height: 720 });
  });
  test("a drawer lies over a scrim only while it is open", () => {
    const frame = tabbed({ face: "drawer" });
    expect(regions(frame, {})).toHaveLength(2);
    expect(regions(frame, {}, { do: "menu" }).slice(2)).toEqual(["scrim home 0,0 400x800", "drawer home 0,0 300x800"]);
  });
  test("a split pair has its list at the start, between 280 and 440 wide, and the detail beside it", () => {
    const pair = tabbed(
      {},
      { c: { kind: "pair", list: "rows", detail: "one" }, rows: screen(), one: screen({ path: "/:n" }) },
    );
    expect(regions(pair, { width: 1000 }, { do: "open", to: "one", params: { n: "1" } })).toEqual([
      "list rows 0,0 380x740",
      "content rows 0,50 380x690",
      "header c 0,0 380x50",
      "detail one 380,0 620x740",
      "content one 380,50 620x690",
      "header c 380,0 620x50",
      "bar home 0,740 1000x60",
    ]);
    expect(regions(pair, { width: 600 }, { do: "tab", to: "c" })[0]).toBe("list rows 0,0 280x740");
    expect(regions(pair, { width: 600, rtl: true }, { do: "tab", to: "c" })[3]).toBe("detail one 0,0 320x740");
  });
});
