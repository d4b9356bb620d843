import fc from "fast-check";
import { targetOfLink } from "../address/addresses.js";
import { needsAbove } from "../frame/needs.js";
import { viewOf } from "../frame/view.js";
import { launch, step } from "../navigate/step.js";
import { anyFrame, anyLink } from "../testing/arbitrary.js";
import { landed } from "../explore/standpoint.js";
import { addressRows } from "./rows.js";
import { caseOf, runCase, tryEverywhere, tryLink } from "./trial.js";

const anyTried = () => fc.tuple(anyFrame(), anyLink());

test("a link that is tried is what a device does that follows it", () => {
  fc.assert(
    fc.property(anyTried(), ([frame, { url }]) => {
      const view = viewOf(frame);
      for (const facts of tryEverywhere(frame, view, url).facts) {
        const cold = tryLink(frame, view, url, { start: "cold", facts });
        expect(cold.before).toBeNull();
        expect(cold.at.state).toEqual(launch(frame, view, facts, url).state);
        const running = tryLink(frame, view, url, { start: "running", facts });
        expect(running.before).toEqual(landed(frame, view, facts));
        const followed = step(frame, view, landed(frame, view, facts), { do: "link", url, start: "running" });
        expect(running.at.state).toEqual(followed.state);
      }
    }),
    { numRuns: 100 },
  );
});

test("the same number in the grid is the same screen with the same Back, and another number is not", () => {
  let rows = 0;
  fc.assert(
    fc.property(anyTried(), ([frame, { url }]) => {
      const grid = tryEverywhere(frame, viewOf(frame), url);
      expect(grid.rows).toHaveLength(grid.facts.length);
      const all = grid.rows.flatMap(({ cold, running }) => [cold, running]);
      const told = ({ snapshot: { top, params, back, pending, overlay } }: (typeof all)[number]) =>
        JSON.stringify({ top, params, back, pending, overlay });
      for (const a of all)
        for (const b of all) expect(grid.numbers.get(a) === grid.numbers.get(b)).toBe(told(a) === told(b));
      const numbers = all.map((each) => grid.numbers.get(each)!);
      expect(numbers[0]).toBe(1);
      // they are counted in the order they are read
      numbers.forEach((n, i) => expect(n).toBeLessThanOrEqual(Math.max(0, ...numbers.slice(0, i)) + 1));
      rows += grid.rows.length;
    }),
    { numRuns: 150 },
  );
  expect(rows).toBeGreaterThan(500);
});

test("a case that was just kept comes out as it was kept, and says where when it does not", () => {
  let turned = 0;
  fc.assert(
    fc.property(anyTried(), fc.constantFrom("cold" as const, "running" as const), ([frame, { url }], start) => {
      for (const facts of tryEverywhere(frame, viewOf(frame), url).facts) {
        const kept = caseOf(frame, "kept", url, { start, facts });
        expect(runCase(frame, kept).unlike).toEqual([]);
        const back = ["elsewhere"];
        const { unlike } = runCase(frame, { ...kept, see: { ...kept.see, back } });
        expect(unlike.map(({ pointer }) => pointer)).toEqual(["/back"]);
        turned += 1;
      }
    }),
    { numRuns: 100 },
  );
  expect(turned).toBeGreaterThan(200);
});

test("every address has one row, whose example leads to its screen and is laid on what it says", () => {
  fc.assert(
    fc.property(anyFrame(), (frame) => {
      const view = viewOf(frame);
      const rows = addressRows(frame, view);
      expect(new Set(rows.map(({ screen, pattern }) => `${screen} ${pattern.text}`)).size).toBe(rows.length);
      for (const { screen, sample, laidOn, needs } of rows) {
        expect(targetOfLink(frame, sample)).toMatchObject({ kind: "screen", screen });
        expect(laidOn).not.toContain(undefined);
        expect(needs).toEqual(needsAbove(frame, screen));
      }
    }),
    { numRuns: 100 },
  );
});
