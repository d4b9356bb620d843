import { useSyncExternalStore } from "react";
import { External } from "../../../data/external.js";
import { hasShape, isText, keepStored, readStored } from "../../../data/storage.js";
import { useMatch } from "../../../parts/match-media.js";

/** How the bench stands in this browser. */
export interface BenchShape {
  /** px, at the foot of the plan. */
  height: number;
  /** px, beside the plan. */
  width: number;
  /** The groups that were opened, the last one first. */
  open: readonly string[];
}

const key = "handy-frame:bench";
/** So many groups are remembered. */
const most = 12;

const read = (value: unknown): BenchShape | null => {
  if (!hasShape(value, { height: "number", width: "number", open: "object" })) return null;
  const { height, width, open } = value;
  return { height, width, open: Array.isArray(open) ? open.filter(isText) : [] };
};

/** The least that the bench can be made, px: its head and its index stay to be read. */
export const leastBench = { height: 120, width: 360 };

const shape = new External<BenchShape>(readStored("local", key, read) ?? { height: 300, width: 460, open: [] });

const set = (change: Partial<BenchShape>): void => {
  shape.set(change);
  keepStored("local", key, shape.get());
};

export const setBenchSize = (side: "height" | "width", px: number): void => set({ [side]: px });

/** Opens a group, before all that were opened until now. */
export const openGroup = (id: string): void =>
  set({ open: [id, ...shape.get().open.filter((other) => other !== id)].slice(0, most) });

/** Closes a group: what was opened before it comes instead. */
export const closeGroup = (id: string): void => set({ open: shape.get().open.filter((other) => other !== id) });

/** How the bench stands, as it changes. */
export const useBenchShape = (): BenchShape => useSyncExternalStore(shape.subscribe, shape.get);

/** Whether the window is so wide that the bench stands beside the plan. */
export const useIsBeside = (): boolean => useMatch("(min-width: 1601px)");
