import { lensOf } from "../frame/look.js";
import type { FixedFrame } from "../frame/types.js";
import type { View } from "../frame/view.js";
import { cameTo, canExplore, exploredOf, takeWay } from "../explore/taken.js";
import { waysIn } from "../explore/ways.js";
import type { Move } from "../navigate/event.js";
import { movesBetween } from "../navigate/moves.js";
import type { State } from "../navigate/state.js";
import { launch, stepThrough } from "../navigate/step.js";
import type { AppMove } from "./app-moves.js";

/** A move as it happens in the app: from one state to another. */
export interface MoveExample {
  before: State;
  after: State;
  move: Move;
}

/** The move between two states that is meant; null where it is none of those between them. */
const meantBetween = (
  frame: FixedFrame,
  view: View,
  asked: AppMove,
  before: State,
  after: State,
): MoveExample | null => {
  const moves = movesBetween(lensOf(frame, view), before.root, after.root);
  const move = moves.find((each) => each.in === asked.container && each.entering?.node === asked.node);
  return move ? { before, after, move } : null;
};

/** The move as a way into its screen makes it. */
const byWay = (frame: FixedFrame, view: View, asked: AppMove): MoveExample | null => {
  for (const way of waysIn(frame, asked.node)) {
    if (asked.way && (way.from !== asked.way.from || way.action !== asked.way.action)) continue;
    const taken = takeWay(frame, view, way);
    const found = taken && meantBetween(frame, view, asked, taken.from, taken.state);
    if (found) return found;
  }
  return null;
};

/** The move on the way of a person from the launch to where they see what comes. */
const onTheWay = (frame: FixedFrame, view: View, asked: AppMove): MoveExample | null => {
  if (!canExplore(frame)) return null;
  for (const { events } of exploredOf(frame, view).values()) {
    let before = launch(frame, view).state;
    for (const event of events) {
      const { state } = stepThrough(frame, view, before, event);
      const found = meantBetween(frame, view, asked, before, state);
      if (found) return found;
      before = state;
    }
  }
  return null;
};

/** The move as it is where what comes is opened from outside. */
const opened = (frame: FixedFrame, view: View, asked: AppMove): MoveExample | null => {
  const before = cameTo(frame, view, asked.container);
  const { state } = stepThrough(frame, view, before, { do: "open", to: asked.node });
  return meantBetween(frame, view, asked, before, state);
};

/** A move of an app where it really happens: by a way in, else on a person's way, else opened from outside; null where none of these makes it. */
export const exampleOf = (frame: FixedFrame, view: View, asked: AppMove): MoveExample | null =>
  byWay(frame, view, asked) ?? (asked.way ? null : (onTheWay(frame, view, asked) ?? opened(frame, view, asked)));
