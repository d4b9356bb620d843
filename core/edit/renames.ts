import { sure } from "../frame/sure.js";
import type { Id } from "../frame/parts.js";

/** Ids that were given in place of others, by the old ones. */
export type Renames = Readonly<Record<Id, Id>>;

/** No node has another id. */
export const noRenames: Renames = {};

/** Those of two changes one after another as those of one. */
export const thenRenamed = (first: Renames, then: Renames): Renames => {
  const names = new Map(Object.entries(first));
  for (const [from, to] of Object.entries(then)) {
    const start = Object.entries(first).find(([, now]) => now === from)?.[0] ?? from;
    if (start === to) names.delete(start);
    else names.set(start, to);
  }
  return Object.fromEntries(names);
};

/** The id that a node has now. */
export const nowNamed = (id: Id, names: Renames): Id => (Object.hasOwn(names, id) ? sure(names[id]) : id);
