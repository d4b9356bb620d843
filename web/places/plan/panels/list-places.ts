import { type Frame, type Place, placesOf, plainName, nodeAt } from "../../../../core/index.js";
import type { Chosen } from "../../../app/place.js";

/** A place that a list can go to, and how it is said. */
export interface ListPlace {
  value: string;
  label: string;
  place: Place;
}

/** Where a list can go from what is chosen, the most likely first: opened from a screen, inside a container, or behind. */
export const listPlaces = (frame: Frame, chosen: Chosen | null): ListPlace[] => {
  const at = chosen ?? { id: frame.root, parent: null };
  const node = nodeAt(frame, at.id);
  const name = plainName(frame, at.id);
  const places: ListPlace[] = [];
  if (node.kind === "stack" || node.kind === "hub")
    places.push({
      value: "inside",
      label: node.kind === "hub" ? `as tabs of ${name}` : `inside ${name}`,
      place: { parent: at.id, after: node.children.at(-1) ?? null },
    });
  let [parent, after] = [at.parent, at.id];
  while (parent !== null && nodeAt(frame, parent).kind === "pair")
    [after, parent] = [parent, placesOf(frame, parent)[0] ?? null];
  if (parent === null) return places;
  if (node.kind === "screen" && nodeAt(frame, parent).kind === "stack" && parent === at.parent)
    places.push({ value: "opened", label: `opened from ${name}`, place: { parent, after, opener: at.id } });
  places.push({
    value: "after",
    label:
      nodeAt(frame, parent).kind === "hub"
        ? `as tabs after ${plainName(frame, after)}`
        : `beside ${plainName(frame, after)}`,
    place: { parent, after },
  });
  return places;
};
