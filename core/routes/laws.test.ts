import fc from "fast-check";
import { lensOf } from "../frame/look.js";
import { viewOf } from "../frame/view.js";
import { topOf } from "../navigate/focus.js";
import { step } from "../navigate/step.js";
import { ladderOf, pathOf } from "../observe/ladder.js";
import { anyFrame } from "../testing/arbitrary.js";
import { walkedPoints } from "../testing/points.js";
import { routesBetween } from "./routes.js";

const anyTwo = () =>
  fc
    .tuple(anyFrame(), fc.nat(100), fc.nat(100), fc.constantFrom("key", "swipe", "none"))
    .map(([frame, a, b, target]) => {
      const screens = Object.keys(frame.nodes).filter((id) => frame.nodes[id]!.kind === "screen");
      return {
        frame,
        view: viewOf(frame, { target }),
        from: screens[a % screens.length]!,
        to: screens[b % screens.length]!,
      };
    });

test("a route that is gone along, event by event, leads over its screens to its end, where Back does what it says", () => {
  let gone = 0;
  fc.assert(
    fc.property(anyTwo(), ({ frame, view, from, to }) => {
      const lens = lensOf(frame, view);
      for (const { start, steps, ladder } of routesBetween(walkedPoints(frame, view), from, to)) {
        let state = start;
        expect(topOf(lens, state.root).node).toBe(from);
        for (const each of steps) {
          expect([topOf(lens, state.root).node, state]).toEqual([each.from, each.before]);
          for (const event of each.events) ({ state } = step(frame, view, state, event));
          expect([topOf(lens, state.root).node, state]).toEqual([each.to, each.after]);
        }
        expect(topOf(lens, state.root).node).toBe(to);
        expect(pathOf(ladderOf(frame, view, state))).toEqual(ladder);
        gone += 1;
      }
    }),
    { numRuns: 150 },
  );
  expect(gone).toBeGreaterThan(20);
});

test("routes are told shortest first, each once, none twice over a screen, none much longer than need be", () => {
  fc.assert(
    fc.property(anyTwo(), fc.integer({ min: 1, max: 4 }), ({ frame, view, from, to }, most) => {
      const through = routesBetween(walkedPoints(frame, view), from, to, most).map(({ steps }) =>
        steps.map((each) => each.to),
      );
      const lengths = through.map(({ length }) => length);
      expect(lengths).toEqual(lengths.toSorted((a, b) => a - b));
      expect(lengths.length).toBeLessThanOrEqual(most);
      expect(new Set(through.map((ids) => ids.join(" "))).size).toBe(through.length);
      for (const ids of through) {
        expect(new Set([from, ...ids]).size).toBe(ids.length + 1);
        expect(ids.length).toBeLessThan(lengths[0]! + 3);
      }
      // more that are asked for are more of the same
      const all = routesBetween(walkedPoints(frame, view), from, to, most + 1).map(({ steps }) =>
        steps.map((each) => each.to),
      );
      expect(all.slice(0, through.length)).toEqual(through);
    }),
    { numRuns: 100 },
  );
});

test("none leads to where one is", () => {
  fc.assert(
    fc.property(anyTwo(), ({ frame, view, from }) => {
      expect(routesBetween(walkedPoints(frame, view), from, from)).toEqual([]);
    }),
    { numRuns: 50 },
  );
});
