import { asRecord } from "./keys.js";
/** Equality of two values as JSON: same keys and values whatever the order of keys; an absent key and `undefined` are the same. */
export const equal = (a: unknown, b: unknown): boolean => {
  if (a === b) return true;
  if (typeof a !== "object" || typeof b !== "object" || a === null || b === null) return false;
  if (Array.isArray(a) || Array.isArray(b))
    return Array.isArray(a) && Array.isArray(b) && a.length === b.length && a.every((value, i) => equal(value, b[i]));
  const [left, right] = [asRecord(a), asRecord(b)];
  for (const key of Object.keys(left)) if (!equal(left[key], right[key])) return false;
  for (const key of Object.keys(right)) if (right[key] !== undefined && left[key] === undefined) return false;
  return true;
};
