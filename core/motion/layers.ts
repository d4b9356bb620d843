import type { Arranged, Region } from "../arrange/arrange.js";
import type { Entry } from "../navigate/state.js";
import { entriesInside } from "../navigate/entries.js";

/** The name of what moves as one: an entry with all that is drawn in it, or one region by itself. */
export type MoverId = string;

/** An entry's layer. */
export const layerId = (key: number): MoverId => `layer ${key}`;
/** Whether a region is an open drawer, or the scrim of one: it belongs to no layer. */
const isOfDrawer = ({ role, overlay }: Pick<Region, "role" | "overlay">): boolean =>
  role === "drawer" || (role === "scrim" && overlay === null);

/** A region by itself: unique among those of a state, and the same as long as it is the same thing. */
export const partId = (region: Pick<Region, "role" | "key" | "layer" | "overlay">): MoverId =>
  `${region.role} ${region.key} ${isOfDrawer(region) ? "drawer" : region.layer}`;

/** For each entry the keys from the root down to it. */
export type Ancestry = ReadonlyMap<number, readonly number[]>;

/** The way down to each entry of a tree, shown or not. */
export const ancestryOf = (root: Entry): Ancestry => {
  const found = new Map<number, readonly number[]>();
  const add = (entry: Entry, above: readonly number[]): void => {
    const path = [...above, entry.key];
    found.set(entry.key, path);
    for (const inner of entriesInside(entry)) add(inner, path);
  };
  add(root, []);
  return found;
};

/**
 * The layers that a region is drawn in, the outermost first: those of the entries it lies in, from the overlay over all that it
 * belongs to, else from the root. A scrim lies in what its overlay lies in; a drawer and its scrim lie above all of it.
 */
export const layersOf = (region: Region, ancestry: Ancestry, overAll: Arranged["overAll"]): readonly number[] => {
  if (isOfDrawer(region)) return [];
  const path = ancestry.get(region.layer) ?? [region.layer];
  const from = Math.max(
    0,
    path.findLastIndex((key) => overAll.has(key)),
  );
  return path.slice(from, region.role === "scrim" ? -1 : undefined);
};
