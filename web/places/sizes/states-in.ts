import type { Frame, Id, State, View } from "../../../core/index.js";
import { pictureStates } from "../../device/picture-states.js";

const known = new WeakMap<Frame, WeakMap<View, ReturnType<typeof pictureStates>>>();

/** A state that shows a node in a view; kept for each frame, those that are tried out too, as its cells are drawn again and again. */
export const statesIn = (frame: Frame, view: View, id: Id): State | null => {
  const byView = known.get(frame) ?? new WeakMap<View, ReturnType<typeof pictureStates>>();
  known.set(frame, byView);
  const states = byView.get(view) ?? pictureStates(frame, view);
  byView.set(view, states);
  return states({ id });
};
