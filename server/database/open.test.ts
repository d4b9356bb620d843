import { cp, mkdir, mkdtemp, readdir, rm, truncate, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { Database } from "./database.js";
import { openDatabase } from "./open.js";

let place: string;
let made: string;
const said: string[] = [];
const open = (folder: string): Promise<Database> =>
  openDatabase({ folder, sync: "each", say: (line) => said.push(line) });

/** A copy of a folder that was made, to be spoilt. */
const copied = async (name: string): Promise<string> => {
  const folder = join(place, name);
  await cp(made, folder, { recursive: true });
  return folder;
};

beforeAll(async () => {
  place = await mkdtemp(join(tmpdir(), "handy-frame-open-"));
  made = join(place, "made");
  await mkdir(made);
  await (await open(made)).close();
}, 120_000);
afterAll(() => rm(place, { recursive: true, force: true }));
beforeEach(() => said.splice(0));

describe("a data folder", () => {
  test("is made once, and nothing half-made stays", async () => {
    expect((await readdir(made)).sort()).toEqual(["db"]);
    await (await open(made)).close();
    expect(said).toEqual([]);
  });

  test("what was kept in it is there when it is opened again", async () => {
    const folder = await copied("kept");
    const before = await open(folder);
    await before.transaction((sql) => sql.exec("insert into ids values ('tides', 7)"));
    await before.close();
    const after = await open(folder);
    expect((await after.query("select * from ids")).rows).toEqual([{ slug: "tides", number: 7 }]);
    await after.close();
  });

  test("is synced as it was told to be, with a log of 64 MB at most, and is given free what updates left", async () => {
    const database = await open(await copied("tidy"));
    const asked = ["fsync", "wal_sync_method", "max_wal_size", "full_page_writes"];
    const settings: string[] = [];
    for (const name of asked)
      settings.push(...Object.values((await database.query<Record<string, string>>(`show ${name}`)).rows[0]!));
    expect(settings).toEqual(["on", "fsync", "64MB", "on"]);
    await database.transaction((sql) => sql.exec("insert into ids select 'a' || n, n from generate_series(1, 5000) n"));
    const size = async () =>
      (await database.query<{ size: number }>("select pg_relation_size('ids')::integer as size")).rows[0]!.size;
    const before = await size();
    await database.transaction((sql) => sql.exec("delete from ids"));
    await database.tidy();
    expect(await size()).toBeLessThan(before / 10);
    await database.close();
  });

  test("of a newer version is refused, and left as it was", async () => {
    const folder = await copied("newer");
    const database = await open(folder);
    await database.transaction((sql) => sql.exec("insert into migrations (name) values ('900-later.sql')"));
    await database.close();
    await expect(open(folder)).rejects.toThrow(
      /was worked on by a newer version of Handy Frame \(900-later\.sql\)\. Start that one\./,
    );
    expect((await readdir(folder)).sort()).toEqual(["db"]);
  });

  test("of an older version is brought up, and kept as it was beside it", async () => {
    const folder = await copied("older");
    const database = await open(folder);
    await database.transaction((sql) =>
      sql.exec(
        "drop index revisions_by_key; drop table ids; alter table revisions drop column sum; delete from migrations where name = '003-keys.sql'",
      ),
    );
    await database.close();
    const brought = await open(folder);
    expect((await brought.query("select * from ids")).rows).toEqual([]);
    await brought.close();
    expect((await readdir(folder)).sort()).toEqual(["db", "db.before-003-keys"]);
    expect(said).toEqual([
      `The data folder is of an older version: ${join(folder, "db.before-003-keys")} keeps it as it was.`,
    ]);
  });

  test.each([
    ["without its version", (db: string) => rm(join(db, "PG_VERSION")), /is no database/],
    ["of another PostgreSQL", (db: string) => writeFile(join(db, "PG_VERSION"), "12\n"), /a database of PostgreSQL 12/],
    ["whose control file was cut", (db: string) => truncate(join(db, "global", "pg_control"), 100), /it was broken/],
    ["whose log is gone", (db: string) => rm(join(db, "pg_wal"), { recursive: true }), /it was broken/],
  ])("%s is told in one line", async (name, spoil, says) => {
    const folder = await copied(name.replaceAll(" ", "-"));
    await spoil(join(folder, "db"));
    const error = await open(folder).then(
      () => null,
      (reason: Error) => reason,
    );
    expect(error?.message).toMatch(says);
    expect(error?.message).not.toContain("\n");
    expect(error?.message).toContain(folder);
  });

  test("with another program's things in it is left alone", async () => {
    const folder = join(place, "foreign");
    await mkdir(folder);
    await writeFile(join(folder, "letters.txt"), "mine");
    await expect(open(folder)).rejects.toThrow(/holds letters\.txt: it is no data folder/);
    expect(await readdir(folder)).toEqual(["letters.txt"]);
  });
});
