import { hasEdgeSwipe, hasSystemBack } from "../frame/defaults.js";
import { type Lens, lensOf } from "../frame/look.js";
import { screenAt } from "../frame/nodes.js";
import { isThere } from "../frame/only.js";
import type { Do, Id } from "../frame/parts.js";
import type { FixedFrame } from "../frame/types.js";
import { targetIn, type View } from "../frame/view.js";
import { unasked } from "../navigate/asking.js";
import { canDismiss, upTakes } from "../navigate/back.js";
import { entriesInside, pathTo } from "../navigate/entries.js";
import type { NavigationEvent } from "../navigate/event.js";
import { topOf } from "../navigate/focus.js";
import { sightOf } from "../navigate/sight.js";
import type { Entry, State } from "../navigate/state.js";
import { stepThrough } from "../navigate/step.js";
import { type Surface, surfaceIn } from "./surface.js";

/** One Back: where the person is after it. */
export interface Rung {
  state: State;
  /** The screen that is on top then. */
  node: Id;
}

/** How a ladder ends: the app is left, nothing goes back any more, or it goes round for ever. */
export type LadderEnd = "left" | "stays" | "round";

/** What the next Backs do. */
export interface Ladder {
  rungs: Rung[];
  end: LadderEnd;
}

/** The screens that a ladder goes through, and its end: what it is beside the states. */
export interface LadderPath {
  nodes: readonly Id[];
  end: LadderEnd;
}

/** What a ladder is beside its states. */
export const pathOf = ({ rungs, end }: Ladder): LadderPath => ({ nodes: rungs.map(({ node }) => node), end });

/** Whether two ladders go the same way. */
export const samePath = (a: LadderPath, b: LadderPath): boolean =>
  a.end === b.end && a.nodes.length === b.nodes.length && a.nodes.every((node, i) => node === b.nodes[i]);

/** Whether an action takes its screen off, by itself or once it has set something. */
export const goesBack = (action: Do): boolean =>
  action.kind === "back" ||
  action.kind === "close" ||
  (action.kind === "set" && action.then !== undefined && goesBack(action.then));

/** Going up in the other pane of a split pair, where its strip has a Back. */
const besideUp = ({ screens, strips, top }: Surface, lens: Lens, state: State): NavigationEvent | null => {
  for (const { entry, inert } of screens) {
    const strip = strips.nearest.get(entry.key);
    if (inert || entry === top || !(strip?.back || strip?.close)) continue;
    if (upTakes(lens, state, pathTo(state.root, entry.key) ?? []) !== null) return { do: "up", in: entry.node };
  }
  return null;
};

/** How a person goes back in an app of a target without a system Back: by what they can touch. */
const touchedBack = (lens: Lens, state: State): NavigationEvent | null => {
  const { frame, view } = lens;
  if (state.drawer !== null && sightOf(lens, state).drawer !== null) return { do: "dismiss" };
  const surface = surfaceIn(lens, state);
  const { headers, top, focus } = surface;
  const taken = upTakes(lens, state);
  const hasStrip = headers.some((header) => header.back || header.close);
  if (taken !== null && (hasStrip || (taken === "push" && hasEdgeSwipe(targetIn(frame, view))))) return { do: "up" };
  if (canDismiss(lens, focus)) return { do: "dismiss" };
  const beside = besideUp(surface, lens, state);
  if (beside) return beside;
  if (!top) return null;
  const { actions } = screenAt(frame, top.node);
  const action = actions?.find(({ only, do: act }) => goesBack(act) && isThere(frame, only, view, state.facts));
  return action ? { do: "tap", action: action.id } : null;
};

/**
 * The event a person goes back by in this view, or null when there is none: the system's Back; without one the innermost
 * of dismissing, a strip's back or close and the edge swipe, failing these an action that goes back.
 */
export const backEvent = (frame: FixedFrame, view: View, state: State): NavigationEvent | null =>
  hasSystemBack(targetIn(frame, view)) ? { do: "back" } : touchedBack(lensOf(frame, view), state);

const count = (entry: Entry): number => entriesInside(entry).reduce((sum, inner) => sum + count(inner), 1);

/** The ladder of a state: each next Back as the view's target has it, until the app is left. What a screen asks is answered so that it is left, what it asks already is passed over. */
export const ladderOf = (frame: FixedFrame, view: View, given: State): Ladder => {
  const state = unasked(given);
  const lens = lensOf(frame, view);
  const rungs: Rung[] = [];
  // every Back takes an entry off or leaves a tab: more steps than this go round
  const most = 2 * count(state.root) + 16;
  let top = topOf(lens, state.root);
  for (let at = state; rungs.length <= most;) {
    if (at.outside) return { rungs, end: "left" };
    const event = backEvent(frame, view, at);
    const next = event ? stepThrough(frame, view, at, event).state : at;
    if (next.outside) return { rungs, end: "left" };
    const onTop = topOf(lens, next.root);
    if (next === at || (event?.do === "tap" && onTop.key === top.key && next.drawer === at.drawer))
      return { rungs, end: "stays" };
    rungs.push({ state: next, node: onTop.node });
    [at, top] = [next, onTop];
  }
  return { rungs: rungs.slice(0, most), end: "round" };
};
