import { type Aside, keepAside, readAside } from "./aside.js";
import { keepStored, readStored, storedKeys } from "./storage.js";

/** A browser's storage for so many characters; a negative number forbids all use of it. */
const storageOf = (most: number) => {
  const held = new Map<string, string>();
  const refuse = () => {
    throw new DOMException("not allowed here", "SecurityError");
  };
  const look = <T>(work: () => T): T => (most < 0 ? refuse() : work());
  return {
    getItem: (key: string) => look(() => held.get(key) ?? null),
    setItem: (key: string, text: string) =>
      look(() => {
        if (text.length > most) throw new DOMException("full", "QuotaExceededError");
        held.set(key, text);
      }),
    removeItem: (key: string) => look(() => void held.delete(key)),
    key: (n: number) => look(() => [...held.keys()][n] ?? null),
    get length() {
      return look(() => held.size);
    },
  };
};
const globals = globalThis as Record<string, unknown>;
const before = globals.localStorage;
const stand = (most: number) => {
  globals.localStorage = storageOf(most);
};
afterAll(() => {
  globals.localStorage = before;
});

const aside: Aside = {
  key: "k",
  label: "Call it Tides",
  edit: { kind: "set", node: "c", key: "title", value: "Tides" },
  why: "The server cannot store this.",
} as Aside;

const any = (value: unknown) => value;

describe("what is kept in the browser", () => {
  test("is read as it was kept, found by how its key begins, and taken away by null", () => {
    stand(1000);
    keepStored("local", "one:a", { n: 1 });
    keepStored("local", "one:b", [2]);
    keepStored("local", "two", 3);
    expect(readStored("local", "one:a", any)).toEqual({ n: 1 });
    expect(storedKeys("local", "one:")).toEqual(["one:a", "one:b"]);
    keepStored("local", "one:a", null);
    expect(readStored("local", "one:a", any)).toBeNull();
    expect(storedKeys("local", "one:")).toEqual(["one:b"]);
  });
  test("costs nothing else where the storage is full, forbidden or holds what cannot be read", () => {
    stand(10);
    keepStored("local", "big", "x".repeat(100));
    expect(readStored("local", "big", any)).toBeNull();
    (globals.localStorage as Storage).setItem("broken", "{");
    expect(readStored("local", "broken", any)).toBeNull();
    stand(-1);
    keepStored("local", "any", 1);
    expect([readStored("local", "any", any), storedKeys("local", "")]).toEqual([null, []]);
  });
  test("edits that were set aside are there after a reload, by their frame, until they are let go", () => {
    stand(1000);
    keepAside("tides", [aside]);
    expect([readAside("tides"), readAside("other")]).toEqual([[aside], []]);
    keepAside("tides", []);
    expect([readAside("tides"), storedKeys("local", "handy-frame")]).toEqual([[], []]);
  });
});
