import { useSyncExternalStore } from "react";
import { External } from "../../../data/external.js";

/** The peg or row of a way that is pointed at, by its mark. Apart from all else, so that a hover draws those of that way alone anew. */
const lit = new External<{ mark: string | null }>({ mark: null });

const setLit = (mark: string | null): void => lit.set({ mark });

/** Whether the way with this mark is pointed at. */
export const useIsLit = (mark: string | null): boolean =>
  useSyncExternalStore(lit.subscribe, () => mark !== null && lit.get().mark === mark);

/** What lights a way while the pointer is over it. */
export const lights = (mark: string | null) => ({
  onPointerEnter: () => mark !== null && setLit(mark),
  onPointerLeave: () => setLit(null),
});
