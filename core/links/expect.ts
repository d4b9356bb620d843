import { equal } from "../frame/equal.js";
import { shown } from "../frame/fault.js";
import { pointer } from "../frame/pointer.js";

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
