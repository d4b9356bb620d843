import type { Lens } from "./look.js";
import { isThere } from "./only.js";
import type { Face, Facts, Id } from "./parts.js";
import { hubAt } from "./nodes.js";

/** The tabs of a face: those it shows by themselves, and those that its More entry lists. */
export interface ShownTabs {
  tabs: Id[];
  more: Id[];
}

/** The tabs a hub's face shows in a view; `bar` and `top` show `limit` at most, the rest goes behind More. */
export const tabsOf = ({ frame, view, look }: Lens, id: Id, face: Face, facts: Facts): ShownTabs => {
  const all = hubAt(frame, id).children.filter((child) => {
    const tab = frame.nodes[child]?.tab;
    return !tab?.hidden && isThere(frame, tab?.only, view, facts);
  });
  const { limit } = look(id);
  if ((face !== "bar" && face !== "top") || all.length <= limit) return { tabs: all, more: [] };
  return { tabs: all.slice(0, limit - 1), more: all.slice(limit - 1) };
};
