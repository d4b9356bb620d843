import { lensOf } from "../frame/look.js";
import type { Id } from "../frame/parts.js";
import type { Frame } from "../frame/types.js";
import type { View } from "../frame/view.js";
import { topOf } from "../navigate/focus.js";
import type { NavigationEvent } from "../navigate/event.js";
import { isStuck, type State } from "../navigate/state.js";
import { launch, step } from "../navigate/step.js";
import { eventSays } from "../says/event-says.js";
import { viewInBand } from "../walk/classes.js";
import type { Played } from "./rule.js";

/** One step of what shows a finding. */
export interface PlayedStep {
  says: string;
  /** Null for the beginning. */
  event: NavigationEvent | null;
  /** The screen that is on top then; null where the app was left. */
  top: Id | null;
}

const topIn = (frame: Frame, view: View, state: State): Id | null =>
  state.outside || isStuck(state) ? null : topOf(lensOf(frame, view), state.root).node;

/** What shows a finding, step by step, with the view it is seen in. */
export const playedSteps = (
  frame: Frame,
  { beginning, events, where }: Played,
): { view: View; steps: PlayedStep[] } => {
  const view = viewInBand(frame, where.target, where.band);
  let { state } = launch(frame, view, beginning.facts, beginning.url ?? undefined);
  let top = topIn(frame, view, state);
  const steps: PlayedStep[] = [{ says: beginning.url === null ? "launch" : `link ${beginning.url}`, event: null, top }];
  for (const event of events) {
    const says = eventSays(frame, event, top ?? "");
    ({ state } = step(frame, view, state, event));
    top = topIn(frame, view, state);
    steps.push({ says, event, top });
  }
  return { view, steps };
};
