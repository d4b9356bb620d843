import { equal, type Frame, plainFrame } from "../../core/index.js";
import { tabbed } from "../../core/testing/frames.js";
import type { Database } from "../database/database.js";
import { FrameStore } from "../frames/store.js";
import { testDatabase } from "../testing/server.js";
import { thin, type Thinning } from "./thin.js";
import { verified } from "./verify.js";

const rule: Thinning = { whole: 100, fine: 300, coarse: 200 };
let database: Database;
let store: FrameStore;
let was: Map<number, Frame>;

beforeAll(async () => {
  database = await testDatabase();
  store = new FrameStore(database);
  const { id } = await store.create(plainFrame({ ...tabbed(), name: "Tides" }));
  for (let on = 1; on < 620; on += 50)
    await store.save(
      id,
      on,
      Array.from({ length: 50 }, (_, i) => ({
        key: `key ${on + i}`,
        label: `Rename ${on + i}`,
        edit: { kind: "setFrame", key: "name", value: `Tides ${on + i}` },
      })),
    );
  await store.nameRevision(id, 77, "Before the summer");
  was = new Map();
  for (const number of [1, 77, 200, 350, 400, 540, 651]) was.set(number, (await store.readAt(id, number)).frame);
}, 120_000);
afterAll(() => database.close());

const numbers = async (): Promise<number[]> =>
  (await store.revisions("tides", 10_000, 5000)).map(({ number }) => number).reverse();

test("older revisions are thinned by the rule, and what is left is read as it was", async () => {
  expect((await store.read("tides")).revision).toBe(651);
  const { revisions } = await thin(database, rule);
  const left = await numbers();
  expect(left.filter((number) => number < 550)).toEqual([1, 77, 200, 400, 450, 500]);
  expect(left.filter((number) => number >= 550)).toEqual(Array.from({ length: 102 }, (_, i) => 550 + i));
  expect(revisions).toBe(651 - left.length);
  for (const [number, frame] of was)
    if (left.includes(number)) expect(equal((await store.readAt("tides", number)).frame, frame)).toBe(true);
  for (const gone of [2, 76, 78, 199, 351, 549])
    await expect(store.readAt("tides", gone)).rejects.toMatchObject({ code: "no-revision" });
  for await (const { wrong } of verified(database)) expect(wrong).toBeNull();
  // nothing is left to thin
  expect(await thin(database, rule)).toEqual({ revisions: 0, frames: 0 });
});

test("who made edits on a revision whose followers were thinned is told that not all are kept", async () => {
  await thin(database, rule);
  const edits = [{ key: "late", label: "Late", edit: { kind: "setFrame", key: "name", value: "Late" } as const }];
  await expect(store.save("tides", 120, edits)).rejects.toMatchObject({
    code: "stale",
    more: { revision: 651, missed: null },
  });
  expect(await store.missed("tides", 49)).toBeNull();
  expect(await store.missed("tides", 640)).toHaveLength(11);
  expect(await store.missed("tides", 651)).toEqual([]);
});

test("a frame that was deleted is emptied after its days, and its id is given to no other one", async () => {
  const { id } = await store.create(plainFrame({ ...tabbed(), name: "Short" }));
  await store.setDeleted(id, true);
  expect(await thin(database, rule)).toMatchObject({ frames: 0 });
  await database.transaction((sql) =>
    sql.exec("update frames set deleted = now() - interval '29 days' where id = 'short'"),
  );
  expect(await thin(database, rule)).toMatchObject({ frames: 0 });
  await database.transaction((sql) =>
    sql.exec("update frames set deleted = now() - interval '31 days' where id = 'short'"),
  );
  expect(await thin(database, rule)).toMatchObject({ frames: 1 });
  await expect(store.read(id)).rejects.toMatchObject({ code: "no-frame" });
  expect((await store.create(plainFrame({ ...tabbed(), name: "Short" }))).id).toBe("short-2");
});
