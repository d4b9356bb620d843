import type { Action, Facts, Only } from "./parts.js";
import type { FixedFrame } from "./types.js";
import { bandAt, type View } from "./view.js";

/** Whether something limited by `only` is there in this view with these facts. */
export const isThere = (frame: FixedFrame, only: Only | undefined, view: View, facts: Facts): boolean => {
  if (!only) return true;
  if (only.targets && !only.targets.includes(view.target)) return false;
  if (only.bands && !only.bands.includes(bandAt(frame, view.width).id)) return false;
  return Object.entries(only.facts ?? {}).every(([id, value]) => facts[id] === value);
};

/** Those of some actions that are there in this view with these facts, in one of these places; in any where none is named. */
export const actionsThere = (
  frame: FixedFrame,
  actions: readonly Action[] | undefined,
  view: View,
  facts: Facts,
  ...places: readonly Action["place"][]
): Action[] =>
  (actions ?? []).filter(
    ({ place, only }) => (places.length === 0 || places.includes(place)) && isThere(frame, only, view, facts),
  );
