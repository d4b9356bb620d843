import fc from "fast-check";
import { viewOf } from "../frame/view.js";
import { anyStates } from "../testing/states.js";
import { byBand, frameOf, hub, list, openTo, pick, run, screen, stack } from "../testing/frames.js";
import { apartSays, changesBySize } from "./apart.js";
import { devicePresets, type DeviceShape, turned, viewOn, widened } from "./devices.js";
import { sizeRows } from "./rows.js";
import { tour } from "./tour.js";

const frame = frameOf(
  {
    app: stack(["home", "ask"]),
    home: hub(["two", "me"], byBand("face", { hand: "bar", lap: "rail", desk: "panel" })),
    two: { kind: "pair", list: "rows", detail: "row" },
    rows: list("row", "row"),
    row: screen({ params: { row: "text" } }),
    me: screen({ title: "Me", vary: [{ from: "lap", set: { bars: "hide" } }] }),
    ask: screen(byBand("opens", { hand: "sheet", desk: "dialog" })),
  },
  { short: 480 },
);
const phone = viewOf(frame, { width: 390, height: 844 });
const lap = viewOf(frame, { width: 700, height: 840 });
const desk = viewOf(frame, { width: 1200, height: 800 });

describe("devices", () => {
  test("a device turned twice is as it was, and nothing of it lies outside", () => {
    for (const { id: _, label: __, ...shape } of devicePresets) {
      const there: DeviceShape = turned(shape);
      expect([there.width, there.height]).toEqual([shape.height, shape.width]);
      expect(turned(there)).toEqual(shape);
      for (const { x, y, width, height } of there.cuts ?? [])
        expect(x >= 0 && y >= 0 && x + width <= there.width && y + height <= there.height).toBe(true);
    }
  });
  test("made narrower it loses what lies beyond its edge", () => {
    const fold = devicePresets.find(({ id }) => id === "foldOpen")!;
    expect(widened(fold, 600).hinge).toEqual(fold.hinge);
    expect(widened(fold, 350).hinge).toBeUndefined();
    expect(viewOn(frame, widened(fold, 350), { rtl: true, calm: false })).toMatchObject({ width: 350, rtl: true });
  });
});

describe("how one size differs from another", () => {
  const { at } = run(frame, pick(3));
  test("is told by faces, panes, overlays, low views, the hinge, and what Back does", () => {
    expect(apartSays(frame, at.state, phone, lap)).toEqual({ looks: ["the bar is a rail", "two panes"], back: "out" });
    expect(apartSays(frame, at.state, lap, desk)).toEqual({ looks: ["the rail is a panel"], back: null });
    expect(apartSays(frame, at.state, desk, desk)).toEqual({ looks: [], back: null });
    const fold = { ...lap, hinge: { x: 344, size: 12 } };
    expect(apartSays(frame, at.state, phone, fold).looks).toContain("parted at the hinge");
    expect(apartSays(frame, at.state, lap, { ...lap, height: 390 }).looks).toEqual(["lower than 480"]);
    const asked = run(frame, openTo("ask")).at;
    expect(apartSays(frame, asked.state, lap, desk).looks).toContain("the sheet is a dialog");
  });
  test("is told for each width where a band begins", () => {
    expect(changesBySize(frame, at.state, phone)).toEqual([
      { band: "lap", from: 560, says: ["the bar is a rail", "two panes", "Back: out"] },
      { band: "desk", from: 960, says: ["the rail is a panel"] },
    ]);
  });
  test("has a row for each hub, pair and overlay, and for whatever else is said to differ", () => {
    expect(sizeRows(frame)).toEqual([
      { id: "home", slot: "face" },
      { id: "two", slot: "split" },
      { id: "me", slot: "bars" },
      { id: "ask", slot: "opens" },
    ]);
    expect(sizeRows({ ...frame, vary: [{ from: "lap", set: { calm: "x" } }] }).at(-1)).toEqual({
      id: null,
      slot: "calm",
    });
  });
});

test("a tour of every size finds the state the same at each stop, whatever it is, and ends where it began", () => {
  let otherwise = 0;
  fc.assert(
    fc.property(anyStates(), ({ frame: any, seen }) => {
      const { state, view } = seen.at(-1)!;
      const found = tour(any, state, view);
      for (const { stop, isSame, other } of found) expect([stop.says, isSame, other]).toEqual([stop.says, true, []]);
      expect(found.at(-1)!.view).toEqual(view);
      otherwise += found.filter(({ looksOtherwise }) => looksOtherwise).length;
    }),
    { numRuns: 60 },
  );
  expect(otherwise).toBeGreaterThan(40);
});
