import { takeWay } from "../explore/taken.js";
import type { Standpoints } from "../explore/standpoints.js";
import { waysIn } from "../explore/ways.js";
import { subtreeOf } from "../frame/frame-index.js";
import type { Move } from "../navigate/event.js";
import { movesBetween } from "../navigate/moves.js";
import type { State } from "../navigate/state.js";
import { launch, step, stepThrough } from "../navigate/step.js";
import type { AppMove } from "./app-moves.js";

/** A move as it happens in the app: from one state to another. */
export interface MoveExample {
  before: State;
  after: State;
  move: Move;
}

/** The move between two states that is meant; null where it is none of those between them. */
const meantBetween = ({ lens }: Standpoints, asked: AppMove, before: State, after: State): MoveExample | null => {
  const moves = movesBetween(lens, before.root, after.root);
  const move = moves.find((each) => each.in === asked.container && each.entering?.node === asked.node);
  return move ? { before, after, move } : null;
};

/** The move as a way into its screen makes it. */
const byWay = (points: Standpoints, asked: AppMove): MoveExample | null => {
  for (const way of waysIn(points.frame, asked.node)) {
    if (asked.way && (way.from !== asked.way.from || way.action !== asked.way.action)) continue;
    const taken = takeWay(points, way);
    const found = taken && meantBetween(points, asked, taken.from, taken.state);
    if (found) return found;
  }
  return null;
};

/** So many screens of what comes are looked at for one that a person comes to by it. */
const mostLooked = 12;

/** The move on the way of a person from the launch to where they see what comes. */
const onTheWay = (points: Standpoints, asked: AppMove): MoveExample | null => {
  const { frame, view } = points;
  for (const id of subtreeOf(frame, asked.node).slice(0, mostLooked)) {
    const { way } = points.at(id);
    if (!way) continue;
    let before = launch(frame, view, way.beginning.facts).state;
    for (const event of way.events) {
      const { state } = step(frame, view, before, event);
      const found = meantBetween(points, asked, before, state);
      if (found) return found;
      before = state;
    }
  }
  return null;
};

/** The move as it is where what comes is opened from outside. */
const opened = (points: Standpoints, asked: AppMove): MoveExample | null => {
  const before = points.at(asked.container).state;
  const { state } = stepThrough(points.frame, points.view, before, { do: "open", to: asked.node });
  return meantBetween(points, asked, before, state);
};

/** A move of an app where it really happens: by a way in, else on a person's way, else opened from outside; null where none of these makes it. */
export const exampleOf = (points: Standpoints, asked: AppMove): MoveExample | null =>
  byWay(points, asked) ?? (asked.way ? null : (onTheWay(points, asked) ?? opened(points, asked)));
