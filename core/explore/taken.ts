import { indexOf } from "../frame/frame-index.js";
import type { Id } from "../frame/parts.js";
import type { FixedFrame } from "../frame/types.js";
import type { View } from "../frame/view.js";
import type { NavigationEvent } from "../navigate/event.js";
import { exploreFrom, type Reached } from "./route.js";
import { type Seen, seenAfter } from "../observe/seen.js";
import type { State } from "../navigate/state.js";
import { launch, stepThrough } from "../navigate/step.js";
import { openedAt } from "./standpoint.js";
import { sightOf } from "../navigate/sight.js";
import { equal } from "../frame/equal.js";
import { type Lens, lensOf } from "../frame/look.js";
import { type Way, waysIn } from "./ways.js";

/** On a frame with more nodes than this, going everywhere takes longer than anyone waits for. */
const mostExplored = 150;

/** Whether a frame is small enough to be gone through everywhere whenever it changes. */
export const canExplore = (frame: FixedFrame): boolean => indexOf(frame).ids.length <= mostExplored;

const explored = new WeakMap<FixedFrame, { view: View; found: Map<Id, Reached> }[]>();
/** Of so many views what was found is kept for a frame: those that are looked at by turns. */
const mostViews = 8;

/** Everywhere a person can go from the launch, worked out once for each frame and view. */
export const exploredOf = (frame: FixedFrame, view: View): Map<Id, Reached> => {
  const kept = explored.get(frame) ?? [];
  const known = kept.find((each) => each.view === view || equal(each.view, view));
  if (known) return known.found;
  const found = exploreFrom(frame, view, launch(frame, view).state);
  explored.set(frame, [{ view, found }, ...kept.slice(0, mostViews - 1)]);
  return found;
};

/** A state on a node as a person first comes there; else as one for whom it was opened from outside. */
export const cameTo = (frame: FixedFrame, view: View, id: Id): State =>
  (canExplore(frame) ? exploredOf(frame, view).get(id)?.state : undefined) ?? openedAt(frame, view, id);

/**
 * What taking a way comes to. `real` says that its screen was reached as a person would, not opened from outside; on a
 * frame too large to be explored every screen is opened, and taken for real.
 */
export interface TakenWay {
  /** Where it was taken from, and where that led. */
  from: State;
  state: State;
  seen: Seen;
  real: boolean;
}

const eventOf = (frame: FixedFrame, way: Way): NavigationEvent => {
  const node = frame.nodes[way.from];
  if (way.via === "row") {
    const rows = node?.kind === "screen" && node.body && "rows" in node.body ? node.body.rows : 3;
    return { do: "pick", row: Math.max(1, Math.min(3, rows)), in: way.from };
  }
  if (way.via === "after") return { do: "wait", ms: node?.kind === "screen" ? (node.after?.ms ?? 0) : 0 };
  return { do: "tap", action: way.action ?? "", in: way.from };
};

/** What has to happen before a way can be taken: a drawer that holds it is opened. */
const readyFor = (lens: Lens, state: State, way: Way): State | null => {
  const { frame, view } = lens;
  const { bars, screens } = sightOf(lens, state);
  if (frame.nodes[way.from]?.kind !== "hub")
    return screens.some(({ entry, inert }) => entry.node === way.from && !inert) ? state : null;
  const bar = bars.find((each) => each.hub === way.from && !each.inert);
  return bar?.face === "drawer" && !bar.open
    ? stepThrough(frame, view, state, { do: "menu", open: true }).state
    : state;
};

/** Where a person first comes to what a way begins at; undefined where they never do. */
const reachedFor = (lens: Lens, way: Way): Reached | undefined => {
  const explored = exploredOf(lens.frame, lens.view);
  if (lens.frame.nodes[way.from]?.kind !== "hub") return explored.get(way.from);
  return [...explored.values()].find(({ state }) => sightOf(lens, state).bars.some((bar) => bar.hub === way.from));
};

/** Takes a way, from where a person first comes to its screen; null when it cannot be taken in this view. */
export const takeWay = (frame: FixedFrame, view: View, way: Way): TakenWay | null => {
  const lens = lensOf(frame, view);
  const isKnown = canExplore(frame);
  const reached = isKnown ? reachedFor(lens, way) : undefined;
  const from = readyFor(lens, reached?.state ?? openedAt(frame, view, way.from), way);
  if (!from) return null;
  const taken = stepThrough(frame, view, from, eventOf(frame, way));
  if (taken.state === from) return null;
  const { state } = taken;
  return { from, state, seen: seenAfter(frame, view, taken), real: !isKnown || reached !== undefined };
};

/** How a node's ways in look: whether bars and header are there, and what Back does, for each. */
export interface WayInLook {
  way: Way;
  taken: TakenWay | null;
}

/** Every way into a node, each taken once; `taken` is null where it cannot be taken in the view. */
export const looksOf = (frame: FixedFrame, view: View, id: Id): WayInLook[] =>
  waysIn(frame, id).map((way) => ({ way, taken: takeWay(frame, view, way) }));
