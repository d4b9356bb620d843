import { mkdirSync, writeFileSync } from "node:fs";
import { dirname } from "node:path";
import { newDatabaseUrl } from "../server/testing/server.js";
import { startPostgres } from "../server/testing/postgres.js";
import { acknowledgedBy, lostOf, pause, refusedBy, timesOr } from "./kills.js";
import { FaultPerson } from "./person.js";
import { FaultyServer } from "./server.js";
import { onSmallDisk } from "./small-disk.js";

const MB = 1024 * 1024;
const plenty = 1024 * MB;

/** Lets the disk become full, or read-only, at many points of saving; then that is over, and all goes on without a start. */
const fullDisks = async (folder: string, times: number, readOnly: boolean): Promise<string> => {
  const room = `${folder}-room`;
  mkdirSync(dirname(room), { recursive: true });
  const first = FaultyServer.start({ folder });
  await first.url();
  await first.stop();
  let [lost, stood, slowest, unwell] = [0, 0, 0, 0];
  const people: FaultPerson[] = [];
  for (let i = 0; i < times; i += 1) {
    writeFileSync(room, String(plenty));
    // every second time others fill the disk once the server has looked
    const tells = i % 2 === 0;
    const server = FaultyServer.start({ folder, shim: { script: "full-disk.cjs", told: { folder, room, tells } } });
    const url = await server.url();
    const person = await FaultPerson.begin(url, `Full ${i}`);
    people.push(person);
    await person.change(url);
    // small changes fill tables, large ones the log, of which a part of 16 MB is made at a time
    const isLarge = i % 4 >= 2;
    const share = isLarge ? MB : 40_000;
    writeFileSync(room, readOnly ? "read-only" : String(tells ? 48 * MB + i * 4096 : i * share));
    for (let n = 0; n < 40; n += 1) {
      const began = Date.now();
      await person.change(url, isLarge ? 150 : 0).catch(() => (stood += 1));
      slowest = Math.max(slowest, Date.now() - began);
    }
    writeFileSync(room, String(plenty));
    const until = Date.now() + 90_000;
    while (!(await person.change(url).catch(() => false)))
      if (Date.now() > until) {
        unwell += 1;
        break;
      }
    lost = Math.max(lost, await lostOf(url, people));
    if ((await server.stop()) !== 0) unwell += 1;
  }
  return `${times} ${readOnly ? "disks that became read-only" : "full disks"}, ${acknowledgedBy(people)} edits acknowledged, ${lost} lost, ${refusedBy(people)} refused, ${stood} without an answer, the slowest answer ${slowest} ms, ${unwell} that did not go on or end`;
};

export const full = (folder: string): Promise<string> => fullDisks(folder, timesOr(24), false);
export const readOnly = (folder: string): Promise<string> => fullDisks(folder, timesOr(6), true);

/** The same for the disk of a PostgreSQL: a real one, as small as can be. */
export const fullElsewhere = async (folder: string, times = timesOr(12)): Promise<string> =>
  onSmallDisk(`${folder}-disk`, 300, async (disk) => {
    const postgres = await startPostgres(["wal_recycle=off", "max_wal_size=64MB", "min_wal_size=32MB"], disk.folder);
    const server = FaultyServer.start({ folder, elsewhere: await newDatabaseUrl(postgres.url) });
    let [lost, unwell] = [0, 0];
    const people: FaultPerson[] = [];
    try {
      const url = await server.url();
      for (let i = 0; i < times; i += 1) {
        const person = await FaultPerson.begin(url, `Full ${i}`);
        people.push(person);
        await person.change(url);
        disk.fill(i * 3 * (MB / 2));
        for (let n = 0; n < 40; n += 1) await person.change(url, i % 2 ? 150 : 10);
        disk.clear();
        if (!postgres.runs) await postgres.again();
        const until = Date.now() + 60_000;
        while (!(await person.change(url)))
          if (Date.now() > until) {
            unwell += 1;
            break;
          } else await pause(100);
        lost = Math.max(lost, await lostOf(url, people));
      }
    } finally {
      await server.stop();
      await postgres.stop();
    }
    return `${times} full disks of a PostgreSQL, ${acknowledgedBy(people)} edits acknowledged, ${lost} lost, ${refusedBy(people)} refused, ${unwell} that did not go on`;
  });
