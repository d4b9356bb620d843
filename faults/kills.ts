import { mkdirSync } from "node:fs";
import { join } from "node:path";
import { newDatabaseUrl } from "../server/testing/server.js";
import { startPostgres } from "../server/testing/postgres.js";
import { luckOf } from "./luck.js";
import { FaultPerson } from "./person.js";
import { FaultyServer } from "./server.js";

/** How often, or as often as `TIMES` says. */
export const timesOr = (times: number): number => Number(process.env.TIMES ?? times);

export const pause = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms));

/** Changes by several at once until there is no answer. */
export const saveUntilGone = async (url: string, people: readonly FaultPerson[]): Promise<void> => {
  await Promise.all(
    people.map(async (person) => {
      for (;;)
        try {
          await person.change(url);
        } catch {
          return;
        }
    }),
  );
};

/** What of all that was acknowledged is lost. */
export const lostOf = async (url: string, people: readonly FaultPerson[]): Promise<number> => {
  let lost = 0;
  for (const person of people) lost += await person.lost(url);
  return lost;
};
export const acknowledgedBy = (people: readonly FaultPerson[]): number =>
  people.reduce((sum, { acknowledged }) => sum + acknowledged.length, 0);

/** How many answers were no success, and by which status. */
export const refusedBy = (people: readonly FaultPerson[]): string => {
  const counts = new Map<number, number>();
  for (const { refused } of people)
    for (const [status, count] of refused) counts.set(status, (counts.get(status) ?? 0) + count);
  const all = [...counts.values()].reduce((a, b) => a + b, 0);
  return all === 0 ? "none" : `${all} (${[...counts].map(([status, count]) => `${count} by ${status}`).join(", ")})`;
};

/** Waits until some changes more were acknowledged, and for a part of the next one. */
export const inTheMidst = async (people: readonly FaultPerson[], luck: () => number): Promise<void> => {
  const until = acknowledgedBy(people) + 1 + Math.floor(luck() * 8);
  const end = Date.now() + 30_000;
  while (acknowledgedBy(people) < until && Date.now() < end) await pause(1);
  await pause(luck() * 20);
};

/** Kills a server in the midst of saving, again and again. */
export const kills = async (folder: string, times = timesOr(100), elsewhere?: string): Promise<string> => {
  const luck = luckOf(1);
  const start = () => FaultyServer.start({ folder, elsewhere });
  let server = start();
  let url = await server.url();
  const people = await Promise.all(["One", "Two", "Three"].map((name) => FaultPerson.begin(url, name)));
  let lost = 0;
  for (let i = 0; i < times; i += 1) {
    const saving = saveUntilGone(url, people);
    await inTheMidst(people, luck);
    await server.kill();
    await saving;
    server = start();
    url = await server.url();
    lost = Math.max(lost, await lostOf(url, people));
  }
  await server.stop();
  return `${times} kills in saving, ${acknowledgedBy(people)} edits acknowledged, ${lost} lost`;
};

/** The same on a PostgreSQL. */
export const killsElsewhere = async (folder: string, times = timesOr(100)): Promise<string> => {
  const postgres = await startPostgres();
  try {
    return await kills(folder, times, await newDatabaseUrl(postgres.url));
  } finally {
    await postgres.stop();
  }
};

/** Ends a PostgreSQL in the midst of saving, again and again, under a server that goes on. */
export const databaseKills = async (folder: string, times = timesOr(50)): Promise<string> => {
  const luck = luckOf(4);
  const postgres = await startPostgres();
  const server = FaultyServer.start({ folder, elsewhere: await newDatabaseUrl(postgres.url) });
  let [lost, unwell] = [0, 0];
  try {
    const url = await server.url();
    const people = await Promise.all(["One", "Two", "Three"].map((name) => FaultPerson.begin(url, name)));
    for (let i = 0; i < times; i += 1) {
      let isOver = false;
      const saving = Promise.all(
        people.map(async (person) => {
          while (!isOver) if (!(await person.change(url))) await pause(20);
        }),
      );
      await inTheMidst(people, luck);
      await postgres.kill();
      await postgres.again();
      const before = acknowledgedBy(people);
      const until = Date.now() + 30_000;
      while (acknowledgedBy(people) < before + people.length && Date.now() < until) await pause(10);
      if (Date.now() > until) unwell += 1;
      isOver = true;
      await saving;
      lost = Math.max(lost, await lostOf(url, people));
    }
    return `${times} ends of the database in saving, ${acknowledgedBy(people)} edits acknowledged, ${lost} lost, ${unwell} after which the server did not go on`;
  } finally {
    await server.stop();
    await postgres.stop();
  }
};

/** Kills a server in the midst of making its folder; the next start must make it. */
export const creations = async (folder: string, times = timesOr(20)): Promise<string> => {
  const luck = luckOf(2);
  mkdirSync(folder, { recursive: true });
  let wrong = 0;
  for (let i = 0; i < times; i += 1) {
    const place = join(folder, String(i % 4));
    const server = FaultyServer.start({ folder: place });
    await pause(200 + luck() * 9000);
    await server.kill();
    if (i % 4 !== 3) continue;
  }
  for (const place of ["0", "1", "2", "3"]) {
    const server = FaultyServer.start({ folder: join(folder, place) });
    const url = await server.url().catch(() => null);
    if (!url || !(await fetch(new URL("/api/frames", url))).ok) wrong += 1;
    await server.stop();
  }
  return `${times} kills in creating, ${wrong} folders that did not start afterwards`;
};
