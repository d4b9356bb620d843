/** Equality of two values as JSON: same keys and values whatever the order of keys; an absent key and `undefined` are the same. */
export const equal = (a: unknown, b: unknown): boolean => {
  if (a === b) return true;
  if (typeof a !== "object" || typeof b !== "object" || a === null || b === null) return false;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  if (Array.isArray(a)) {
    const other = b as unknown[];
    return a.length === other.length && a.every((value, index) => equal(value, other[index]));
  }
  const left = a as Record<string, unknown>;
  const right = b as Record<string, unknown>;
  for (const key of Object.keys(left)) if (!equal(left[key], right[key])) return false;
  for (const key of Object.keys(right)) if (right[key] !== undefined && left[key] === undefined) return false;
  return true;
};
