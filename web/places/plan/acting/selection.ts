import { type Frame, type Id, placesOf } from "../../../../core/index.js";
import type { Chosen } from "../../../app/place.js";
import { drawnChildren } from "./edits.js";

export const isSame = (a: Chosen | null, b: Chosen | null): boolean => a?.id === b?.id && a?.parent === b?.parent;

/** Everything between two siblings as they are drawn, the last one first; of two that are no siblings both. */
export const rangeOf = (frame: Frame, from: Chosen, to: Chosen): [Chosen, Chosen[]] => {
  if (from.parent === null || from.parent !== to.parent) return [to, isSame(from, to) ? [] : [from]];
  const drawn = drawnChildren(frame, from.parent);
  const [a, b] = [drawn.indexOf(from.id), drawn.indexOf(to.id)];
  const between = drawn.slice(Math.min(a, b), Math.max(a, b) + 1);
  return [to, between.filter((id) => id !== to.id).map((id) => ({ id, parent: to.parent }))];
};

/** One more among what is chosen, or one less. */
export const toggled = (chosen: Chosen | null, others: readonly Chosen[], one: Chosen): [Chosen | null, Chosen[]] => {
  if (isSame(chosen, one)) return [others[0] ?? null, others.slice(1)];
  if (others.some((other) => isSame(other, one))) return [chosen, others.filter((other) => !isSame(other, one))];
  return [one, chosen ? [chosen, ...others] : []];
};

/** What is chosen, each as it stands in the frame; what is gone is left out. */
export const thereIn = (frame: Frame, parts: readonly Chosen[]): Chosen[] =>
  parts.filter(
    ({ id, parent }) => Object.hasOwn(frame.nodes, id) && (parent === null || placesOf(frame, id).includes(parent)),
  );

/** Without those that stand in another one that is chosen: that takes them along. */
export const outermost = (frame: Frame, parts: readonly Chosen[]): Chosen[] => {
  const ids = new Set<Id>(parts.map(({ id }) => id));
  const isInside = (parent: Id | null): boolean => {
    for (let at = parent; at !== null; at = placesOf(frame, at)[0] ?? null) if (ids.has(at)) return true;
    return false;
  };
  return parts.filter(({ parent }) => !isInside(parent));
};
