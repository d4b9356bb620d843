import {
  begin,
  type Frame,
  type Motion,
  type MoveExample,
  type Moving,
  shotOf,
  still,
  takenBack,
  turnedAt,
  type View,
} from "../../../core/index.js";

/** What of a motion is on the stage: there, back, or there and turned round midway. */
export type StageWay = "forward" | "back" | "turned";

/** A move as it is on the stage. */
export interface Staged {
  moving: Moving;
  /** How long it takes in all, ms. */
  length: number;
  /** When it is turned round, ms; null where it is not. */
  turnedAt: number | null;
}

/** The share of the way there at which a move is turned round. */
const turnsAt = 0.42;

const lengthOf = ({ movers }: Moving): number => Math.max(0, ...[...movers.values()].map(({ end }) => end));

/** A move of the app by a motion, as it is looked at. */
export const stagedMove = (frame: Frame, view: View, example: MoveExample, motion: Motion, way: StageWay): Staged => {
  const [before, after] = [shotOf(frame, example.before, view), shotOf(frame, example.after, view)];
  const led = (move: MoveExample["move"]) => ({ by: "moves" as const, moves: [move], motion });
  const back = takenBack(example.move);
  if (way === "back") {
    const moving = begin(still(after), before, led(back), 0);
    return { moving, length: lengthOf(moving), turnedAt: null };
  }
  const there = begin(still(before), after, led(example.move), 0);
  if (way === "forward") return { moving: there, length: lengthOf(there), turnedAt: null };
  const at = Math.round(lengthOf(there) * turnsAt);
  const moving = turnedAt(there, begin(there, before, led(back), at), at);
  return { moving, length: lengthOf(moving), turnedAt: at };
};
