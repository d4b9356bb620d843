import fc from "fast-check";
import type { Frame } from "../frame/types.js";
import { type View, viewOf } from "../frame/view.js";
import type { State } from "../navigate/state.js";
import { launch, step, viewAfter } from "../navigate/step.js";
import { anyEvent, anyFrame, eventAt } from "./arbitrary.js";

/** A random frame, and the states that random events lead it through. */
export interface States {
  frame: Frame;
  seen: { state: State; view: View }[];
}

/** Every state on the way of some events, with the view it is seen in. */
export const anyStates = (): fc.Arbitrary<States> =>
  fc
    .tuple(
      anyFrame(),
      fc.array(anyEvent(), { minLength: 5, maxLength: 25 }),
      fc.constantFrom("key", "swipe"),
      fc.constantFrom([390, 844], [700, 900], [1200, 800]),
    )
    .map(([frame, events, target, [width, height]]) => {
      let view = viewOf(frame, { target, ...(width && height && { width, height }) });
      let { state } = launch(frame, view);
      const seen: { state: State; view: View }[] = [{ state, view }];
      for (const given of events) {
        const event = eventAt(frame, view, state, given);
        ({ state } = step(frame, view, state, event));
        if (typeof event === "object" && event !== null) view = viewAfter(frame, view, event);
        seen.push({ state, view });
      }
      return { frame, seen };
    });
