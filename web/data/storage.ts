import { presentFormat } from "../../core/index.js";

type Place = "local" | "session";

/** What this page keeps says which form it has; what was kept before that was said is of the first. From the third on its edits are of the present frame format. */
const present = 3;
/** The frame format that edits are of which were kept in a form. */
const formatOf = (form: number): string => (form < 3 ? "handy-frame/1" : presentFormat);

/** Reads a kept value of a form that is known; null where it is none. `form` is that which it was kept in. */
export type ReadKept<T> = (value: unknown, form: number) => T | null;

const of = (place: Place): Storage => (place === "local" ? localStorage : sessionStorage);

const isObject = (value: unknown): value is Record<string, unknown> => typeof value === "object" && value !== null;

/** What was kept under a key; null where there is nothing that can be read, or something of a form that is yet to come. */
export const readStored = <T>(place: Place, key: string, read: ReadKept<T>): T | null => {
  try {
    const text = of(place).getItem(key);
    if (text === null) return null;
    const kept: unknown = JSON.parse(text);
    const isMarked = isObject(kept) && typeof kept.form === "number" && "value" in kept;
    if (!isMarked) return read(kept, 1);
    return Number(kept.form) > present ? null : read(kept.value, Number(kept.form));
  } catch {
    return null;
  }
};

/** Keeps a value under a key; null takes it away. Answers whether it is kept: a full or forbidden storage costs what it would have kept over a reload. */
export const keepStored = (place: Place, key: string, value: unknown): boolean => {
  try {
    if (value === null) of(place).removeItem(key);
    else of(place).setItem(key, JSON.stringify({ form: present, value }));
    return true;
  } catch {
    return value === null;
  }
};

/** The keys that begin so. */
export const storedKeys = (place: Place, prefix: string): string[] => {
  try {
    const storage = of(place);
    return Array.from({ length: storage.length }, (_, i) => storage.key(i) ?? "").filter((key) =>
      key.startsWith(prefix),
    );
  } catch {
    return [];
  }
};

/** Reads a text. */
export const readText: ReadKept<string> = (value) => (typeof value === "string" ? value : null);

/** Reads a list, without what in it is of no use any more. */
export const readList =
  <T>(isOne: (value: unknown) => value is T): ReadKept<T[]> =>
  (value) =>
    Array.isArray(value) ? value.filter(isOne) : null;

/** Reads a list of edits, each of which says the frame format it is of where that is an older one. */
export const readEdits =
  <T extends { format?: string }>(isOne: (value: unknown) => value is T): ReadKept<T[]> =>
  (value, form) => {
    const format = formatOf(form);
    const list = readList(isOne)(value, form);
    return format === presentFormat ? list : (list?.map((each) => ({ format, ...each })) ?? null);
  };

/** Whether a value is a text. */
export const isText = (value: unknown): value is string => typeof value === "string";

interface Held {
  string: string;
  number: number;
  object: object;
}
type Shape = Readonly<Record<string, keyof Held>>;

/** Whether a value has these keys, each of its kind. */
export const hasShape = <S extends Shape>(value: unknown, shape: S): value is { [K in keyof S]: Held[S[K]] } =>
  isObject(value) && Object.entries(shape).every(([key, kind]) => typeof value[key] === kind && value[key] !== null);
