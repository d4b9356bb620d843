import { cameTo, type Card, type Frame, isAttached, type State, type View } from "../../core/index.js";

/** For each card the state its picture shows: as a person first comes there, else opened from outside; null for what is in no container. Worked out once. */
export const pictureStates = (frame: Frame, view: View): ((card: Pick<Card, "id">) => State | null) => {
  const known = new Map<string, State | null>();
  return ({ id }) => {
    let found = known.get(id);
    if (found === undefined) known.set(id, (found = isAttached(frame, id) ? cameTo(frame, view, id) : null));
    return found;
  };
};
