import { type Card, isAttached, type Standpoints, type State } from "../../core/index.js";

/** For each card the state its picture shows: as a person first comes there, else opened from outside; null for what is in no container. */
export const pictureStates =
  (points: Standpoints) =>
  ({ id }: Pick<Card, "id">): State | null =>
    isAttached(points.frame, id) ? points.at(id).state : null;
