/** The keys of an object whose type says all that it has. */
export const keysOf = <T extends object>(value: T): (keyof T & string)[] => Object.keys(value) as (keyof T & string)[];

/** The keys that any of several objects of a type has, each once. */
export const keysOfAll = <T extends object>(...values: readonly T[]): Set<keyof T & string> =>
  new Set(values.flatMap((value) => keysOf(value)));

/** What an object holds, by any key: for who looks at values whatever they mean. */
export const asRecord = (value: object): Readonly<Record<string, unknown>> => value as Record<string, unknown>;

/** The object without the keys that hold undefined; undefined where none is left. */
export const compact = <T extends object>(value: { [K in keyof T]?: T[K] | undefined }): T | undefined => {
  const held = Object.entries(value).filter(([, each]) => each !== undefined);
  return held.length ? (Object.fromEntries(held) as T) : undefined;
};

/** An object with a value for each of some keys. */
export const fromKeys = <K extends string, T>(keys: readonly K[], of: (key: K) => T): Record<K, T> =>
  Object.fromEntries(keys.map((key) => [key, of(key)])) as Record<K, T>;
