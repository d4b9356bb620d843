import {
  canExplore,
  exploredOf,
  type Frame,
  type Id,
  isAttached,
  openedAt,
  type State,
  type View,
} from "../../../core/index.js";

const known = new WeakMap<Frame, WeakMap<View, Map<Id, State | null>>>();

const found = (frame: Frame, view: View, id: Id): State | null => {
  if (!isAttached(frame, id)) return null;
  const reached = canExplore(frame) ? exploredOf(frame, view).get(id)?.state : undefined;
  return reached ?? openedAt(frame, view, id);
};

/** A state that shows a node in a view, as a person first comes there; null for what is in no container. Worked out once. */
export const statesIn = (frame: Frame, view: View, id: Id): State | null => {
  const byView = known.get(frame) ?? new WeakMap<View, Map<Id, State | null>>();
  known.set(frame, byView);
  const states = byView.get(view) ?? new Map<Id, State | null>();
  byView.set(view, states);
  let state = states.get(id);
  if (state === undefined) states.set(id, (state = found(frame, view, id)));
  return state;
};
