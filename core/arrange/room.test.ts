import fc from "fast-check";
import type { Frame } from "../frame/types.js";
import { type View, viewOf } from "../frame/view.js";
import { launch, step } from "../navigate/step.js";
import type { State } from "../navigate/state.js";
import { surfaceOf } from "../observe/surface.js";
import { lensOf } from "../frame/look.js";
import { anyEvent, anyFrame, eventAt } from "../testing/arbitrary.js";
import { frameOf, hub, opening, type run, runIn, screen, stack, tap } from "../testing/frames.js";
import { anyView } from "../testing/views.js";
import { arrange, plainRegion, type Region } from "./arrange.js";
import { type Box, common, insetAt, isWithin } from "./box.js";
import { coveredIn, targetTrouble } from "./covered.js";

/** A frame, a state somewhere in it, and any view to look at it in. */
const anySeen = (least: [number, number] = [320, 480]) =>
  fc
    .tuple(
      anyFrame(),
      fc.array(anyEvent(), { maxLength: 20 }),
      anyView({ least }),
      fc.constantFrom("key", "swipe"),
      fc.double({ min: 0.05, max: 1, noNaN: true }),
    )
    .map(([given, events, { ...own }, target, rest]) => {
      // sheets as low as they may be asked to stand
      const frame: Frame = {
        ...given,
        nodes: Object.fromEntries(
          Object.entries(given.nodes).map(([id, node]) => [
            id,
            node.opens === "sheet" ? { ...node, rest: [rest] } : node,
          ]),
        ),
      };
      const started = viewOf(frame, { target });
      let { state } = launch(frame, started);
      for (const event of events) state = step(frame, started, state, eventAt(frame, started, state, event)).state;
      if (state.outside) state = step(frame, started, state, { do: "return" }).state;
      return { frame, state, view: { ...own, target } as View };
    });

const about = ({ role, node, x, y, width, height }: Region): string => `${role} ${node} ${x},${y} ${width}x${height}`;

describe("laws of the room there is, over random frames, states and views", () => {
  test("whatever is drawn lies inside the view, content clear of the device's own strips and never of no size", () => {
    let insets = 0;
    fc.assert(
      fc.property(anySeen(), ({ frame, state, view }) => {
        const own = { ...view, insets: surfaceOf(frame, state, view).insets };
        const whole = { x: 0, y: 0, width: view.width, height: view.height };
        for (const region of arrange(frame, state, view)) {
          expect([about(region), isWithin(region, whole)]).toEqual([about(region), true]);
          if (region.role !== "content") continue;
          expect([about(region), region.width > 0 && region.height > 0]).toEqual([about(region), true]);
          for (const edge of ["top", "right", "bottom", "left"] as const) {
            expect([about(region), edge, insetAt(region, own, edge)]).toEqual([about(region), edge, 0]);
            if (own.insets[edge] > 0) insets += 1;
          }
        }
      }),
      { numRuns: 400 },
    );
    expect(insets).toBeGreaterThan(100);
  });

  test("no content lies under a bar, rail, panel or strip of a hub around it that does not float", () => {
    const around = new Set<Region["role"]>(["bar", "top", "rail", "panel", "header"]);
    let held = 0;
    fc.assert(
      fc.property(anySeen(), ({ frame, state, view }) => {
        const regions = arrange(frame, state, view);
        const { look } = lensOf(frame, view);
        regions.forEach((bar, i) => {
          if (!around.has(bar.role) || (bar.bar && look(bar.node).floating)) return;
          for (const content of regions.slice(0, i)) {
            if (content.role !== "content" || content.overlay !== bar.overlay) continue;
            expect([about(content), about(bar), common(content, bar)]).toEqual([about(content), about(bar), null]);
            held += 1;
          }
        });
      }),
      { numRuns: 400 },
    );
    expect(held).toBeGreaterThan(300);
  });

  test("no pane, sheet or dialog lies across an upright hinge where a side could hold it", () => {
    const parted = new Set<Region["role"]>(["list", "detail", "sheet", "dialog"]);
    /** What a side of the view has for a pane or an overlay, without what the device covers there. */
    const most = 48 + 40;
    let [across, beside] = [0, 0];
    fc.assert(
      fc.property(anySeen(), fc.double({ min: 0.2, max: 0.8, noNaN: true }), ({ frame, state, view: given }, share) => {
        const hinge = { x: Math.round(share * given.width), size: 20 };
        const view = { ...given, hinge };
        for (const region of arrange(frame, state, view)) {
          if (!parted.has(region.role)) continue;
          const isAcross = region.x < hinge.x && region.x + region.width > hinge.x + hinge.size;
          const isIn = region.x < hinge.x + hinge.size && region.x + region.width > hinge.x;
          if (isAcross || isIn) {
            const [left, right] = [hinge.x - region.x, region.x + region.width - hinge.x - hinge.size];
            // only what has hardly any room at one side of it stays as it is
            expect([about(region), hinge, left < most || right < most]).toEqual([about(region), hinge, true]);
            across += 1;
          } else beside += 1;
        }
      }),
      { numRuns: 800 },
    );
    expect(beside).toBeGreaterThan(150);
    expect(across).toBeLessThan(beside);
  });

  test("right to left is the mirror image, to the px", () => {
    const mirrored = (view: View): View => {
      const { width, insets, hinge, cuts } = view;
      const { left, right } = insets;
      return {
        ...view,
        rtl: !view.rtl,
        insets: { ...insets, left: right, right: left },
        ...(hinge && "x" in hinge && { hinge: { ...hinge, x: width - hinge.x - hinge.size } }),
        ...(cuts && { cuts: cuts.map((cut) => ({ ...cut, x: width - cut.x - cut.width })) }),
      };
    };
    fc.assert(
      fc.property(anySeen([120, 120]), ({ frame, state, view }) => {
        const there = arrange(frame, state, view).map(plainRegion);
        const back = arrange(frame, state, mirrored(view)).map((region) => ({
          ...plainRegion(region),
          x: view.width - region.x - region.width,
        }));
        for (const [i, region] of there.entries()) {
          const other = back[i]!;
          // a side is half of what is left where there is hardly any room: no whole px then
          expect({ ...other, x: 0, width: 0 }).toEqual({ ...region, x: 0, width: 0 });
          expect(other.x).toBeCloseTo(region.x, 6);
          expect(other.width).toBeCloseTo(region.width, 6);
        }
        expect(back).toHaveLength(there.length);
      }),
      { numRuns: 400 },
    );
  });

  test("whatever a device becomes, the state stays the very same", () => {
    fc.assert(
      fc.property(anySeen(), fc.array(anyView(), { minLength: 1, maxLength: 8 }), ({ frame, state, view }, views) => {
        let now: State = state;
        for (const next of views) now = step(frame, view, now, { do: "view", ...next }).state;
        expect(now).toBe(state);
      }),
      { numRuns: 200 },
    );
  });
});

const pairFrame = (more: object = {}): Frame =>
  frameOf({
    app: stack(["two", "ask", "low"]),
    two: { kind: "pair", list: "rows", detail: "row", split: true, ...more },
    rows: screen({ actions: [opening("ask"), opening("low"), opening("row")], header: "off" }),
    row: screen({ header: "off" }),
    ask: screen({ opens: "dialog" }),
    low: screen({ opens: "sheet", rest: [0.5] }),
  });
const boxOf = (regions: readonly Region[], role: Region["role"]): Box => {
  const { x, y, width, height } = regions.find((region) => region.role === role)!;
  return { x, y, width, height };
};
const placed = (frame: Frame, view: Partial<View>, ...events: Parameters<typeof runIn>[2][]): Region[] => {
  const { at, view: seenIn } = runIn(frame, view, ...events);
  return arrange(frame, at.state, seenIn);
};

describe("a hinge", () => {
  const open = { width: 680, height: 800, hinge: { x: 330, size: 20 } };

  test("parts a split pair where it is, whatever the pair's ratio", () => {
    for (const ratio of [0.2, 0.38, 0.7]) {
      const regions = placed(pairFrame({ ratio }), open);
      expect(boxOf(regions, "list")).toEqual({ x: 0, y: 0, width: 330, height: 800 });
      expect(boxOf(regions, "detail")).toEqual({ x: 350, y: 0, width: 330, height: 800 });
    }
    const rtl = placed(pairFrame(), { ...open, rtl: true });
    expect(boxOf(rtl, "list").x).toBe(350);
    // a level one parts nothing
    expect(boxOf(placed(pairFrame(), { ...open, hinge: { y: 390, size: 20 } }), "list").width).toBe(280);
  });
  test("is not lain across by a sheet or a dialog: they stand on the side that held more of them, the start side if both did", () => {
    expect(boxOf(placed(pairFrame(), open, tap("ask")), "dialog")).toMatchObject({ x: 0, width: 330 });
    expect(boxOf(placed(pairFrame(), { ...open, rtl: true }, tap("ask")), "dialog")).toMatchObject({
      x: 350,
      width: 330,
    });
    const low = placed(pairFrame(), { ...open, hinge: { x: 250, size: 20 } }, tap("low"));
    expect(boxOf(low, "sheet")).toMatchObject({ x: 270, width: 410, height: 400 });
  });
});

describe("what is hidden of a screen", () => {
  const floating = frameOf({
    app: stack(["home", "low"]),
    home: hub(["a", "b"], { floating: true }),
    a: screen({ actions: [opening("low")] }),
    b: screen(),
    low: screen({ opens: "sheet", rest: [0.5] }),
  });
  const hidden = (view: Partial<View>, ...events: Parameters<typeof run>[1][]) => {
    const { at, view: seenIn } = runIn(floating, view, ...events);
    return coveredIn(floating, seenIn, arrange(floating, at.state, seenIn)).map(({ by, node, y, height }) => [
      by,
      node,
      y,
      height,
    ]);
  };
  test("is under a floating bar, a hole in the screen, a hinge that takes room, and a sheet at rest", () => {
    expect(hidden({ height: 800 })).toEqual([["bar", "a", 740, 60]]);
    expect(hidden({ height: 800, cuts: [{ x: 180, y: 40, width: 30, height: 30 }] })[0]).toEqual(["cut", "a", 50, 20]);
    expect(hidden({ height: 800, hinge: { y: 390, size: 20 } })[0]).toEqual(["hinge", "a", 390, 20]);
    expect(hidden({ height: 800, hinge: { y: 390, size: 0 } })).toHaveLength(1);
    expect(hidden({ height: 800 }, tap("low"))).toContainEqual(["overlay", "a", 400, 400]);
  });
  test("a target is in trouble where its middle is hidden, or it is smaller than 24 px", () => {
    const covered = [{ x: 0, y: 740, width: 390, height: 60, by: "bar" as const, node: "a" }];
    expect(targetTrouble({ x: 10, y: 750, width: 80, height: 30 }, covered)).toEqual({ why: "hidden", by: "bar" });
    expect(targetTrouble({ x: 10, y: 700, width: 80, height: 44 }, covered)).toBeNull();
    expect(targetTrouble({ x: 10, y: 600, width: 80, height: 20 }, covered)).toEqual({ why: "small" });
  });
});
