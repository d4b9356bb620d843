import { mkdirSync, writeFileSync } from "node:fs";
import { dirname } from "node:path";
import { acknowledgedBy, lostOf, timesOr } from "./kills.js";
import { FaultPerson } from "./person.js";
import { FaultyServer } from "./server.js";

const MB = 1024 * 1024;
const plenty = 1024 * MB;

/** Lets the disk become full at many points of saving; then room is made, and all goes on without a start. */
export const fullDisks = async (folder: string, times = timesOr(24)): Promise<string> => {
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
    writeFileSync(room, String(tells ? 48 * MB + i * 4096 : i * share));
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
  const refused = people.reduce((sum, each) => sum + [...each.refused.values()].reduce((a, b) => a + b, 0), 0);
  return `${times} full disks, ${acknowledgedBy(people)} edits acknowledged, ${lost} lost, ${refused} refused, ${stood} without an answer, the slowest answer ${slowest} ms, ${unwell} that did not go on or end`;
};
