import fc from "fast-check";
import type { Frame } from "../frame/types.js";
import type { View } from "../frame/view.js";
import { surfaceOf } from "../observe/surface.js";
import { anyStates } from "../testing/states.js";
import type { NavigationEvent } from "./event.js";
import { isBarInSight } from "./sight.js";
import type { State } from "./state.js";
import { step } from "./step.js";

/** What is told of an event there, and whether anything changed. */
const tried = (frame: Frame, view: View, state: State, event: NavigationEvent) => {
  const after = step(frame, view, state, event);
  const isIgnored = after.notes.some(({ code }) => code === "ignored");
  return { isIgnored, isSame: after.state.root === state.root && after.state.drawer === state.drawer };
};

test("an event reaches whatever can be seen and is not inert, and changes nothing where it is", () => {
  const seen = { inert: 0, reached: 0 };
  const told = (isInert: boolean, { isIgnored, isSame }: ReturnType<typeof tried>) => {
    seen[isInert ? "inert" : "reached"] += 1;
    expect(isIgnored).toBe(isInert);
    if (isInert) expect(isSame).toBe(true);
  };
  const look = (frame: Frame, view: View, state: State) => {
    const { bars, screens } = surfaceOf(frame, state, view);
    for (const { node } of screens.map(({ entry }) => entry)) {
      const isInert = screens.every(({ entry, inert }) => entry.node !== node || inert);
      told(isInert, tried(frame, view, state, { do: "scroll", to: 77, in: node }));
    }
    for (const bar of bars) {
      for (const to of [...bar.tabs, ...bar.more])
        told(bar.inert || !isBarInSight(bar), tried(frame, view, state, { do: "tab", to }));
    }
  };
  fc.assert(
    fc.property(anyStates(), ({ frame, seen: states }) => {
      for (const { state, view } of states) if (!state.outside) look(frame, view, state);
    }),
    { numRuns: 250 },
  );
  expect(seen.inert).toBeGreaterThan(300);
  expect(seen.reached).toBeGreaterThan(3000);
});
