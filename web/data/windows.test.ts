import fc from "fast-check";
import { type Edit, equal, faultsOf } from "../../core/index.js";
import { OpenFrame } from "./open-frame.js";
import { Server, standIn } from "./testing/fake-server.js";

const globals = globalThis as Record<string, unknown>;
const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** Two windows on one frame, and a server whose answers and news take as long as the dice say. */
const twoWindows = (dice: readonly number[]) => {
  const server = new Server();
  let at = 0;
  server.delay = () => dice[at++ % dice.length]!;
  server.isTelling = true;
  standIn(server);
  const open = () => new OpenFrame({ id: "x", revision: server.revision, frame: server.frame }, {});
  const windows = [open(), open()] as const;
  const closes = windows.map((window) => window.open());
  const settled = async () => {
    for (let i = 0; i < 500; i += 1) {
      const all = windows.map((window) => window.editing.get());
      if (all.every(({ waiting, revision }) => waiting === 0 && revision === server.revision)) return;
      await wait(2);
    }
    throw new Error("the windows did not come to rest");
  };
  return { server, windows, settled, close: () => closes.forEach((close) => close()) };
};

const id = fc.constantFrom("a", "b", "c", "item", "deep", "form", "cover", "aTab", "bTab", "home");
const anyChange: fc.Arbitrary<Edit> = fc.oneof(
  fc.record({
    kind: fc.constant("set" as const),
    node: id,
    key: fc.constantFrom("title", "note", "bars"),
    value: fc.constantFrom("hide", "keep"),
  }) as fc.Arbitrary<Edit>,
  fc.record({
    kind: fc.constant("move" as const),
    id,
    from: fc.constantFrom("aTab", "bTab", "home"),
    to: fc.constantFrom("aTab", "bTab", "app"),
    after: fc.constantFrom("a", "b", null),
  }),
  fc.record({ kind: fc.constant("remove" as const), id }),
  fc.nat(9).map((n): Edit => ({
    kind: "add",
    nodes: { [`fresh${n}`]: { kind: "screen" } },
    top: `fresh${n}`,
    parent: "aTab",
    after: "a",
  })),
  fc.constantFrom("One", "Two").map((value): Edit => ({ kind: "setFrame", key: "name", value })),
);
const anyAct = fc.oneof(
  { weight: 8, arbitrary: fc.record({ by: fc.nat(1), edit: anyChange }) },
  { weight: 1, arbitrary: fc.record({ by: fc.nat(1), edit: fc.constant("undo" as const) }) },
  { weight: 2, arbitrary: fc.record({ by: fc.nat(1), edit: fc.constant("wait" as const) }) },
);

test("two windows that change one frame in any interleaving come to the same frame", async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(anyAct, { minLength: 2, maxLength: 14 }),
      fc.array(fc.nat(3), { minLength: 4, maxLength: 12 }),
      fc.boolean(),
      async (acts, dice, thins) => {
        const { server, windows, settled, close } = twoWindows(dice);
        server.thins = () => thins;
        for (const { by, edit } of acts) {
          const window = windows[by]!;
          if (edit === "wait") await wait(dice[0]!);
          else if (edit === "undo") window.editing.undo();
          else window.editing.edit(edit, "Change");
        }
        await settled();
        for (const window of windows) {
          const { frame, history } = window.editing.get();
          expect(equal(frame, server.frame)).toBe(true);
          expect(history.frame).toBe(frame);
        }
        expect(faultsOf(server.frame)).toEqual([]);
        close();
      },
    ),
    { numRuns: 40, endOnFailure: true },
  );
}, 60_000);

test("of one key written in both at once, the value that came first holds and both can be chosen from", async () => {
  const { server, windows, settled, close } = twoWindows([1]);
  const [one, two] = windows;
  const title = (value: string): Edit => ({ kind: "set", node: "c", key: "title", value });
  one.editing.edit(title("First"), "Call it First");
  two.editing.edit(
    { kind: "batch", edits: [title("Second"), { kind: "set", node: "b", key: "note", value: "kept" }] },
    "Both",
  );
  await settled();
  expect(server.frame.nodes).toMatchObject({ c: { title: "First" }, b: { note: "kept" } });
  const [clash] = two.editing.get().clashes;
  expect(clash).toEqual({ node: "c", key: "title", mine: "Second", theirs: "First" });
  expect(one.editing.get().clashes).toEqual([]);
  two.editing.settleClash(clash!, true);
  await settled();
  expect(server.frame.nodes.c!.title).toBe("Second");
  expect(one.editing.get().frame.nodes.c!.title).toBe("Second");
  expect(two.editing.get().clashes).toEqual([]);
  close();
});

test("what one window wrote without the server is not taken by another that is there, and not lost after it", async () => {
  const held = new Set<string>();
  globals.navigator = {
    locks: {
      // one that is asked for only if it is free is not waited for
      request: async (name: string, ...given: unknown[]) => {
        const work = given.at(-1) as (lock: { name: string } | null) => Promise<void>;
        if (held.has(name)) return work(null);
        held.add(name);
        await work({ name });
        held.delete(name);
      },
    },
  };
  const { server, windows, close } = twoWindows([0]);
  server.away = true;
  windows[0].editing.edit({ kind: "set", node: "c", key: "title", value: "Written away" }, "Call it");
  await wait(5);
  const third = new OpenFrame({ id: "x", revision: 1, frame: server.frame }, {});
  const closeThird = third.open();
  await wait(5);
  expect(third.editing.get().waiting).toBe(0);
  closeThird();
  close();
  await wait(5);
  server.away = false;
  const after = new OpenFrame({ id: "x", revision: 1, frame: server.frame, keys: [] }, {});
  const closeAfter = after.open();
  for (let i = 0; i < 200 && server.revision === 1; i += 1) await wait(5);
  expect(server.frame.nodes.c!.title).toBe("Written away");
  closeAfter();
  delete globals.navigator;
});
