import { indexOf } from "./frame-index.js";
import type { Id } from "./parts.js";
import type { FixedFrame } from "./types.js";

/** These nodes, and all that hold one of them however deep. */
export const withHolders = (frame: FixedFrame, ids: Iterable<Id>): ReadonlySet<Id> => {
  const { parents } = indexOf(frame);
  const found = new Set<Id>();
  const add = (id: Id): void => {
    if (found.has(id)) return;
    found.add(id);
    for (const parent of parents.get(id) ?? []) add(parent);
  };
  for (const id of ids) add(id);
  return found;
};
