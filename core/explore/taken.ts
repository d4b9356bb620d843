import type { Lens } from "../frame/look.js";
import type { Id } from "../frame/parts.js";
import type { FixedFrame } from "../frame/types.js";
import type { NavigationEvent } from "../navigate/event.js";
import { sightOf } from "../navigate/sight.js";
import type { State } from "../navigate/state.js";
import { stepThrough } from "../navigate/step.js";
import { type Seen, seenAfter } from "../observe/seen.js";
import type { Standpoints } from "./standpoints.js";
import { type Way, waysIn } from "./ways.js";

/** What taking a way comes to. `real` says that its screen can be come to; one that no walk came to was opened from outside. */
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

/** Takes a way, from where a person first comes to its screen; null when it cannot be taken in this view. */
export const takeWay = (points: Standpoints, way: Way): TakenWay | null => {
  const { frame, view, lens } = points;
  const from = readyFor(lens, points.at(way.from).state, way);
  if (!from) return null;
  const taken = stepThrough(frame, view, from, eventOf(frame, way));
  if (taken.state === from) return null;
  return { from, state: taken.state, seen: seenAfter(frame, view, taken), real: !points.isUnreached(way.from) };
};

/** How a node's ways in look: whether bars and header are there, and what Back does, for each. */
export interface WayInLook {
  way: Way;
  taken: TakenWay | null;
}

/** Every way into a node, each taken once; `taken` is null where it cannot be taken in the view. */
export const looksOf = (points: Standpoints, id: Id): WayInLook[] =>
  waysIn(points.frame, id).map((way) => ({ way, taken: takeWay(points, way) }));
