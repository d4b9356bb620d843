import { type Aside, keepAside, readAside } from "./aside.js";
import { frameOf, screen, stack } from "../../core/testing/frames.js";
import { launch, viewOf } from "../../core/index.js";
import { keepState, readKeptState } from "./kept-state.js";
import { isText, keepStored, readList, readStored, storedKeys } from "./storage.js";

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

describe("what was kept by an older page", () => {
  const raw = (key: string, value: unknown) =>
    (globals.localStorage as Storage).setItem(key, typeof value === "string" ? value : JSON.stringify(value));
  test("is told to whoever reads it as of the first form, and what says its form as of that", () => {
    stand(1000);
    raw("old", [1]);
    keepStored("local", "now", [2]);
    const seen: [unknown, number][] = [];
    const read = (value: unknown, form: number) => (seen.push([value, form]), value);
    readStored("local", "old", read);
    readStored("local", "now", read);
    expect(seen).toEqual([
      [[1], 1],
      [[2], 3],
    ]);
  });
  test("is left alone where it is of a form that is yet to come", () => {
    stand(1000);
    raw("later", { form: 99, value: [1] });
    expect(readStored("local", "later", any)).toBeNull();
  });
  test("is read with care: a list without what is of no use, nothing where it is no list", () => {
    stand(1000);
    const texts = readList(isText);
    raw("some", ["a", 3, null, "b"]);
    raw("none", { a: 1 });
    expect([readStored("local", "some", texts), readStored("local", "none", texts)]).toEqual([["a", "b"], null]);
  });
  test("edits that were set aside then are still there, and say which frame format they are of", () => {
    stand(1000);
    const older = { ...aside, format: "handy-frame/1" };
    raw("handy-frame:aside:tides", [aside]);
    expect(readAside("tides")).toEqual([older]);
    keepAside("tides", [older, aside]);
    expect(readAside("tides")).toEqual([older, aside]);
  });
});

describe("where a window left the device", () => {
  const frame = frameOf({ app: stack(["a"]), a: screen() });
  const { state } = launch(frame, viewOf(frame));
  const sessions = globals.sessionStorage;
  beforeEach(() => {
    globals.sessionStorage = storageOf(10_000);
  });
  afterAll(() => {
    globals.sessionStorage = sessions;
  });
  test("is where it goes on", () => {
    keepState("tides", state);
    expect(readKeptState("tides")).toEqual(state);
  });
  test("is none where the state is of another form, so that the device starts anew", () => {
    const { entries, ...rest } = state.root;
    const old = { ...state, root: { ...rest, stack: entries } };
    for (const kept of [old, { ...state, root: null }, { ...state, nextKey: "4" }, [], null, "text"]) {
      (globals.sessionStorage as Storage).setItem("handy-frame:device:tides", JSON.stringify(kept));
      expect(readKeptState("tides")).toBeNull();
    }
  });
});
