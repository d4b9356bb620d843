import { mkdtemp, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { gunzipSync, gzipSync } from "node:zlib";
import fc from "fast-check";
import { equal, plainFrame } from "../../core/index.js";
import { tabbed } from "../../core/testing/frames.js";
import type { Database } from "../database/database.js";
import { FrameStore } from "../frames/store.js";
import { testDatabase } from "../testing/server.js";
import { backupLines } from "./backup.js";
import { restoreInto } from "./restore.js";
import { verified, type Verdict } from "./verify.js";

let database: Database;
let store: FrameStore;
let empty: Database;
let file: string;

const rename = (name: string) => [
  { key: `key ${name}`, label: `Rename to ${name}`, edit: { kind: "setFrame", key: "name", value: name } as const },
];
const verdicts = async (on: Database): Promise<Verdict[]> => {
  const all: Verdict[] = [];
  for await (const verdict of verified(on)) all.push(verdict);
  return all;
};
const linesNow = async (on: Database): Promise<string[]> => {
  const lines: string[] = [];
  for await (const line of backupLines(on)) lines.push(line);
  return lines;
};
/** What stands in the shelf of a backup, without when it was written. */
const shelfOf = (lines: readonly string[]): string[] => lines.slice(1, -1);
const restoring = async (content: Uint8Array): Promise<{ frames: number; revisions: number }> => {
  await writeFile(file, content);
  return restoreInto(empty, file);
};
const refusalOf = async (content: Uint8Array): Promise<string> =>
  restoring(content).then(
    () => "",
    (error: Error) => error.message,
  );

beforeAll(async () => {
  [database, empty] = [await testDatabase(), await testDatabase()];
  store = new FrameStore(database);
  file = join(await mkdtemp(join(tmpdir(), "handy-frame-keeping-")), "shelf.backup.gz");
  const { id } = await store.create(plainFrame({ ...tabbed(), name: "Tides" }));
  for (let i = 1; i <= 120; i += 1) await store.save(id, i, rename(`Tides ${i}`));
  await store.create(plainFrame({ ...tabbed(), name: "Gone" }));
  await store.setDeleted("gone", true);
}, 120_000);
afterAll(() => Promise.all([database.close(), empty.close()]));

describe("a backup", () => {
  test("brings back the whole shelf with its history, as it was written", async () => {
    const lines = await linesNow(database);
    expect(await restoring(gzipSync(lines.join("")))).toEqual({ frames: 2, revisions: 122 });
    expect(shelfOf(await linesNow(empty))).toEqual(shelfOf(lines));
    const restored = new FrameStore(empty);
    for (const revision of [1, 50, 77, 121])
      expect(
        equal((await restored.readAt("tides", revision)).frame, (await store.readAt("tides", revision)).frame),
      ).toBe(true);
    // and goes on from there
    await restored.save("tides", 121, rename("On"));
    expect(await refusalOf(gzipSync(lines.join("")))).toMatch(/There are 2 frames on the shelf/);
    await empty.transaction((sql) => sql.exec("delete from revisions; delete from frames; delete from ids"));
  });

  test("is restored whole or not at all, wherever it was cut or changed", async () => {
    const whole = gzipSync((await linesNow(database)).join(""));
    await fc.assert(
      fc.asyncProperty(
        fc.integer({ min: 0, max: whole.length - 1 }),
        fc.constantFrom("cut", "changed"),
        async (at, how) => {
          const bytes = Buffer.from(how === "cut" ? whole.subarray(0, at) : whole);
          // what is past the end of gzip's data is its checksum and size; its head's fifth to tenth byte mean nothing
          if (how === "changed") {
            if (at >= 3 && at < 10) return;
            bytes[at]! ^= 0x55;
          }
          expect(await refusalOf(bytes)).toMatch(/cannot be restored: .*Nothing was changed\.$/s);
          expect((await empty.query("select 1 from frames")).rows).toEqual([]);
        },
      ),
      { numRuns: 40 },
    );
  }, 120_000);

  test("whose lines are not what a shelf can hold is refused, with the line", async () => {
    const lines = gunzipSync(gzipSync((await linesNow(database)).join("")))
      .toString()
      .split("\n");
    const written = (made: string[]) => gzipSync(made.join("\n"));
    expect(await refusalOf(written(["{}", ...lines.slice(1)]))).toMatch(/line 1 is no line of a backup/);
    expect(await refusalOf(written([lines[0]!.replace("handy-frame-backup/1", "handy-frame-backup/9")]))).toMatch(
      /handy-frame-backup\/9/,
    );
    expect(await refusalOf(written([...lines.slice(0, 3), "not json"]))).toMatch(/line 4 is not JSON/);
    expect(await refusalOf(written([lines[0]!, lines[1]!, lines[0]!]))).toMatch(/line 3 is not where it belongs/);
    expect(await refusalOf(new TextEncoder().encode("{}"))).toMatch(/cannot be restored/);
  });

  test("is of the moment it began, whatever is changed while it is written", async () => {
    const lines = backupLines(database);
    const first = [(await lines.next()).value as string, (await lines.next()).value as string];
    const before = JSON.parse(first[1]!).frame.revision as number;
    await store.save("tides", before, rename(`While ${before}`));
    const rest: string[] = [];
    for await (const line of lines) rest.push(line);
    await restoring(gzipSync([...first, ...rest].join("")));
    expect((await new FrameStore(empty).read("tides")).revision).toBe(before);
    await empty.transaction((sql) => sql.exec("delete from revisions; delete from frames; delete from ids"));
  });
});

describe("looking whether a shelf is sound", () => {
  test("finds nothing where nothing is wrong", async () => {
    expect((await verdicts(database)).map(({ wrong }) => wrong)).toEqual([null, null]);
  });

  /** Spoils what is kept within a transaction that is taken back, and answers what is found. */
  const spoilt = async (statement: string): Promise<Verdict | undefined> => {
    let found: Verdict | undefined;
    await database
      .transaction(async (sql) => {
        await sql.exec(statement);
        for await (const verdict of verified(sql)) if (verdict.wrong) found = verdict;
        throw new Error("taken back");
      })
      .catch((error: Error) => expect(error.message).toBe("taken back"));
    return found;
  };

  test.each([
    [
      "a value that is not as it was written",
      `update revisions set edit = '{"kind":"setFrame","key":"name","value":"Else"}' where frame = 'tides' and number = 60`,
      59,
      /^revision 60 is not as it was written$/,
    ],
    [
      "a revision that is gone",
      "delete from revisions where frame = 'tides' and number = 30",
      29,
      /between revisions 29 and 31 is missing/,
    ],
    [
      "the newest revision that is gone",
      "delete from revisions where frame = 'tides' and number > 110",
      110,
      /^revision \d+ is missing$/,
    ],
    [
      "another name on the shelf",
      "update frames set name = 'Else' where id = 'tides'",
      122,
      /called “Else” on the shelf/,
    ],
    ["all of its history", "delete from revisions where frame = 'tides'", 0, /is missing$/],
  ])("finds %s, and up to where all is sound", async (_name, statement, sound, wrong) => {
    expect(await spoilt(statement)).toMatchObject({ id: "tides", sound, wrong: expect.stringMatching(wrong) });
  });
});
