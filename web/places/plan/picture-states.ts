import {
  canExplore,
  type Card,
  exploredOf,
  type Frame,
  isAttached,
  openedAt,
  type State,
  type View,
} from "../../../core/index.js";

/** For each card the state its picture shows: as a person first comes there, else opened from outside. */
export const pictureStates = (frame: Frame, view: View): ((card: Pick<Card, "id">) => State | null) => {
  const known = new Map<string, State | null>();
  const explored = canExplore(frame) ? exploredOf(frame, view) : null;
  return ({ id }) => {
    let found = known.get(id);
    if (found === undefined) {
      found = explored?.get(id)?.state ?? (isAttached(frame, id) ? openedAt(frame, view, id) : null);
      known.set(id, found);
    }
    return found;
  };
};
