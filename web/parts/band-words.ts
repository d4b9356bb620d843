import type { Band } from "../../core/index.js";

/** A range of width by its ends, px: “to 559 px”, “560–959 px”, “from 960 px”. */
export const bandRange = (bands: readonly Band[], id: Band["id"]): string => {
  const at = bands.findIndex((band) => band.id === id);
  const [from, next] = [bands[at]?.from ?? 0, bands[at + 1]?.from];
  if (next === undefined) return from === 0 ? "every width" : `from ${from} px`;
  return from === 0 ? `to ${next - 1} px` : `${from}–${next - 1} px`;
};
