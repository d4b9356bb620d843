import { bandsOf } from "./defaults.js";
import { fill } from "./names.js";
import { type Action, type Condition, type Facts, noParams, type Only, type Params } from "./parts.js";
import type { FixedFrame } from "./types.js";
import type { View } from "./view.js";
import { classOf, isIn } from "./views.js";

/** The conditions of which one must hold; none where nothing is limited. */
export const conditionsOf = (only: Only): readonly Condition[] => (Array.isArray(only) ? only : [only]);

/** Whether something limited by `only` is there in this view with these facts. */
export const isThere = (frame: FixedFrame, only: Only | undefined, view: View, facts: Facts): boolean => {
  if (!only) return true;
  const at = classOf(frame, view);
  const holds = (condition: Condition): boolean =>
    isIn(bandsOf(frame), condition, at) &&
    Object.entries(condition.facts ?? {}).every(([id, value]) => facts[id] === value);
  return conditionsOf(only).some(holds);
};

/** Those of some actions that are there in this view with these facts, in one of these places; in any where none is named. Their labels have the params of the screen they are on. */
export const actionsThere = (
  frame: FixedFrame,
  actions: readonly Action[] | undefined,
  view: View,
  { facts, params = noParams }: { facts: Facts; params?: Params },
  ...places: readonly Action["place"][]
): Action[] =>
  (actions ?? [])
    .filter(({ place, only }) => (places.length === 0 || places.includes(place)) && isThere(frame, only, view, facts))
    .map((action) => ({ ...action, label: fill(action.label, params) }));
