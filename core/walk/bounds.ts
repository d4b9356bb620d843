import type { Id } from "../frame/parts.js";
import { entriesInside } from "../navigate/entries.js";
import type { Entry, State } from "../navigate/state.js";
import type { Beginning } from "./beginnings.js";

/** How far a walk goes. */
export interface Bounds {
  /** States that are gone on from whatever they are; more of them only where they show another screen. */
  mostStates: number;
  /** A screen stands in one stack so often, at most: what is laid on it once more is not followed. */
  mostAlike: number;
  /** How the app begins; null for every way it can, by itself and by each address. */
  begin: readonly Beginning[] | null;
  /** Facts stay as they are in the beginning: what changes them is not followed. */
  keepsFacts: boolean;
  /** What Back does, again and again, is found out for every state. */
  climbs: boolean;
}

/** How far a walk goes where nothing else is said. */
export const usualBounds: Bounds = {
  mostStates: 200_000,
  mostAlike: 2,
  begin: null,
  keepsFacts: false,
  climbs: true,
};

/** Values longer than this were put together again and again. */
const longest = 60;

/** Why a state is not gone on to: the node that stands in one stack too often, or whose values grow. */
export type Beyond = { why: "alike" | "values"; node: Id };

const beyondIn = (entry: Entry, { mostAlike }: Pick<Bounds, "mostAlike">): Beyond | null => {
  for (const values of [entry.params, entry.carried])
    if (Object.values(values).some(({ length }) => length > longest)) return { why: "values", node: entry.node };
  const inside = entriesInside(entry);
  if (entry.kind === "stack" && inside.length > mostAlike) {
    const counts = new Map<Id, number>();
    for (const { node } of inside) {
      const count = (counts.get(node) ?? 0) + 1;
      if (count > mostAlike) return { why: "alike", node };
      counts.set(node, count);
    }
  }
  for (const inner of inside) {
    const beyond = "params" in inner ? beyondIn(inner, { mostAlike }) : null;
    if (beyond) return beyond;
  }
  return null;
};

/** Whether a state lies beyond the bounds, and why; null where it does not. */
export const beyondOf = ({ root }: State, bounds: Bounds): Beyond | null => beyondIn(root, bounds);
