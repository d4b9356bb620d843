import { hasEdgeSwipe, hasSystemBack } from "../frame/defaults.js";
import { isThere } from "../frame/faces.js";
import type { Do, Frame, ScreenNode } from "../frame/types.js";
import { targetIn, type View } from "../frame/view.js";
import { canDismiss, upTakes } from "../navigate/back.js";
import type { NavigationEvent } from "../navigate/events.js";
import { type Entry, entriesInside, type State } from "../navigate/state.js";
import { topOf } from "../navigate/focus.js";
import { step } from "../navigate/step.js";
import { surfaceOf } from "./surface.js";

/** What the next Backs do: the state after each, and how it ends: the app is left, nothing goes back any more, or it goes round. */
export interface Ladder {
  steps: State[];
  end: "exit" | "stay" | "loop";
}

const goesBack = (action: Do): boolean =>
  action.kind === "back" ||
  action.kind === "close" ||
  (action.kind === "set" && action.then !== undefined && goesBack(action.then));

/**
 * The event a person goes back by in this view, or null when there is none: the system's Back; without one the innermost
 * of dismissing, a strip's back or close and the edge swipe, failing these an action that goes back.
 */
export const backEvent = (frame: Frame, view: View, state: State): NavigationEvent | null => {
  const target = targetIn(frame, view);
  if (hasSystemBack(target)) return { do: "back" };
  const lens = { frame, view };
  const { headers, top, focus, drawer } = surfaceOf(frame, state, view);
  if (drawer !== null) return { do: "dismiss" };
  const taken = upTakes(lens, state);
  const hasStrip = headers.some((header) => header.back || header.close);
  if (taken !== null && (hasStrip || (taken === "push" && hasEdgeSwipe(target)))) return { do: "up" };
  if (canDismiss(lens, focus)) return { do: "dismiss" };
  if (!top) return null;
  const { actions } = frame.nodes[top.node] as ScreenNode;
  const action = actions?.find(({ only, do: act }) => goesBack(act) && isThere(frame, only, view, state.facts));
  return action ? { do: "tap", action: action.id } : null;
};

const count = (entry: Entry): number => entriesInside(entry).reduce((sum, inner) => sum + count(inner), 1);

/** The ladder of a state: each next Back as the view's target has it, until the app is left. */
export const ladderOf = (frame: Frame, view: View, state: State): Ladder => {
  const lens = { frame, view };
  const steps: State[] = [];
  // every Back takes an entry off or leaves a tab: more steps than this go round
  const most = 2 * count(state.root) + 16;
  for (let at = state; steps.length <= most;) {
    if (at.outside) return { steps, end: "exit" };
    const event = backEvent(frame, view, at);
    const next = event ? step(frame, view, at, event).state : at;
    if (next.outside) return { steps, end: "exit" };
    if (
      next === at ||
      (event?.do === "tap" && topOf(lens, next.root).key === topOf(lens, at.root).key && next.drawer === at.drawer)
    )
      return { steps, end: "stay" };
    steps.push(next);
    at = next;
  }
  return { steps: steps.slice(0, most), end: "loop" };
};
