import { equal } from "../frame/equal.js";
import { shown } from "../frame/fault.js";
import { pointer } from "../frame/pointer.js";
import type { Snapshot } from "../observe/snapshot.js";

/** One thing that came out otherwise than was kept. */
export interface Unlike {
  /** JSON Pointer into the snapshot. */
  pointer: string;
  received: string;
  expected: string;
}

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === "object" && value !== null && !Array.isArray(value);

/** Where something differs from what was to be seen of it: of objects only the keys that are named count, lists count whole. */
export const unlike = (seen: unknown, see: unknown, at: readonly string[] = []): Unlike[] => {
  if (isObject(see) && isObject(seen))
    return Object.entries(see).flatMap(([key, value]) =>
      unlike(Object.hasOwn(seen, key) ? seen[key] : undefined, value, [...at, key]),
    );
  return equal(seen, see) ? [] : [{ pointer: pointer(...at), received: shown(seen, 120), expected: shown(see, 120) }];
};

/** What is kept of what is seen: the screen with its params, what Back does from it, and what waits; or that the app was left. */
export const seeOf = ({ top, params, back, pending, outside }: Snapshot): Record<string, unknown> =>
  outside ? { outside } : { top, ...(Object.keys(params).length > 0 && { params }), back, ...(pending && { pending }) };
