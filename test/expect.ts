// Jest makes some sixty matchers for every `expect`, 0.13 ms each time, and a law calls it a hundred thousand times. What is
// plainly so passes here at once. All else, and so every failure with its words, is Jest's own.

type Matcher = (...expected: unknown[]) => unknown;

const isPlain = (value: object): boolean => {
  const prototype: unknown = Object.getPrototypeOf(value);
  return prototype === Object.prototype || prototype === null;
};

/** Values deeper than this are left to Jest, which knows what goes in a circle. */
const deepest = 200;

/** Whether two values are the same text, number, list or plain object, key by key. False where only Jest can tell. */
const plainlyEqual = (a: unknown, b: unknown, depth = 0): boolean => {
  if (Object.is(a, b)) return true;
  if (typeof a !== "object" || typeof b !== "object" || a === null || b === null || depth > deepest) return false;
  if (Array.isArray(a)) {
    if (!Array.isArray(b) || a.length !== b.length || Object.keys(a).length !== a.length) return false;
    for (let i = 0; i < a.length; i += 1) if (!(i in b) || !plainlyEqual(a[i], b[i], depth + 1)) return false;
    return Object.keys(b).length === b.length;
  }
  if (!isPlain(a) || !isPlain(b)) return false;
  const keys = Reflect.ownKeys(a);
  if (Reflect.ownKeys(b).length !== keys.length) return false;
  for (const key of keys)
    if (!Object.hasOwn(b, key) || !plainlyEqual(Reflect.get(a, key), Reflect.get(b, key), depth + 1)) return false;
  return true;
};

const areNumbers = (a: unknown, b: unknown): boolean => typeof a === "number" && typeof b === "number";

/** What is plainly so, by the name of its matcher; each has the parameters of that after the value. */
const plainly: Record<string, (actual: never, expected: never) => boolean> = {
  toBe: (actual, expected) => Object.is(actual, expected),
  toEqual: (actual, expected) => plainlyEqual(actual, expected),
  toBeNull: (actual: unknown) => actual === null,
  toBeUndefined: (actual: unknown) => actual === undefined,
  toBeGreaterThan: (actual: number, expected: number) => areNumbers(actual, expected) && actual > expected,
  toBeGreaterThanOrEqual: (actual: number, expected: number) => areNumbers(actual, expected) && actual >= expected,
  toBeLessThan: (actual: number, expected: number) => areNumbers(actual, expected) && actual < expected,
  toBeLessThanOrEqual: (actual: number, expected: number) => areNumbers(actual, expected) && actual <= expected,
  toHaveLength: (actual: unknown, expected: number) => Array.isArray(actual) && actual.length === expected,
  toContain: (actual: unknown, expected: unknown) => Array.isArray(actual) && actual.includes(expected),
};

/** Answers Jest's `expect`, which lets pass at once what is plainly so. */
export const quickly = (slow: typeof expect): typeof expect => {
  /** What is asked of one value. Its matchers are the same whatever the value is, so they are made once. */
  class Asked {
    constructor(readonly actual: unknown) {}
  }
  const matcherOf = (actual: unknown, name: string): unknown => Reflect.get(slow(actual), name);
  for (const name of Object.keys(slow(0))) {
    if (["not", "resolves", "rejects"].includes(name)) {
      const get = function (this: Asked) {
        return matcherOf(this.actual, name);
      };
      Object.defineProperty(Asked.prototype, name, { get });
      continue;
    }
    const isSo = plainly[name];
    const matcher = function (this: Asked, ...expected: unknown[]): unknown {
      if (isSo && expected.length === isSo.length - 1 && isSo(this.actual as never, expected[0] as never))
        return undefined;
      try {
        return (matcherOf(this.actual, name) as Matcher)(...expected);
      } catch (error) {
        // the line that is shown is the one that asked
        if (error instanceof Error) Error.captureStackTrace(error, matcher);
        throw error;
      }
    };
    Object.defineProperty(Asked.prototype, name, { value: matcher });
  }
  return Object.assign((actual: unknown) => new Asked(actual), slow) as unknown as typeof expect;
};

Object.assign(globalThis, { expect: quickly(expect) });
