import type { Clash } from "../../core/index.js";
import { hasShape, keepStored, readList, readStored } from "./storage.js";

const keyOf = (frame: string): string => `handy-frame:clashes:${frame}`;

const isClash = (value: unknown): value is Clash => hasShape(value, { key: "string" });

/** What was written here and elsewhere at once, and is yet to be settled: kept in this browser. */
export const readClashes = (frame: string): Clash[] => readStored("local", keyOf(frame), readList(isClash)) ?? [];

export const keepClashes = (frame: string, clashes: readonly Clash[]): boolean =>
  keepStored("local", keyOf(frame), clashes.length ? clashes : null);
