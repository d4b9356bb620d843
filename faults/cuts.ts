import { renameSync, rmSync } from "node:fs";
import { join } from "node:path";
import { afterCut, recordWhole } from "./cut.js";
import { acknowledgedBy, inTheMidst, lostOf, saveUntilGone, timesOr } from "./kills.js";
import { luckOf } from "./luck.js";
import { FaultPerson } from "./person.js";
import { FaultyServer } from "./server.js";

/** Cuts the power in the midst of saving, again and again: what was not synced is there by chance, by pages. */
export const cuts = async (folder: string, times = timesOr(50), sync = "each"): Promise<string> => {
  const luck = luckOf(3);
  const record = `${folder}-record`;
  const first = FaultyServer.start({ folder });
  const people = await (async (url) =>
    Promise.all(["One", "Two", "Three"].map((name) => FaultPerson.begin(url, name))))(await first.url());
  await first.stop();
  let lost = 0;
  let broken = 0;
  for (let i = 0; i < times; i += 1) {
    rmSync(record, { recursive: true, force: true });
    recordWhole(folder, record);
    const server = FaultyServer.start({
      folder,
      more: ["--sync", sync],
      shim: { script: "recording-disk.cjs", told: { folder, record } },
    });
    const url = await server.url().catch(() => null);
    if (url === null) {
      broken += 1;
      break;
    }
    lost = Math.max(lost, await lostOf(url, people));
    const saving = saveUntilGone(url, people);
    await inTheMidst(people, luck);
    await server.kill();
    await saving;
    // how much of what was not synced is there: nothing, all, or some
    const share = [0, 0.5, 1, luck()][i % 4]!;
    const left = join(`${folder}-cut`);
    rmSync(left, { recursive: true, force: true });
    afterCut(folder, record, left, () => luck() < share);
    rmSync(folder, { recursive: true });
    renameSync(left, folder);
  }
  const server = FaultyServer.start({ folder });
  const url = await server.url().catch(() => null);
  if (url === null) broken += 1;
  else lost = Math.max(lost, await lostOf(url, people));
  await server.stop();
  return `${times} power cuts in saving, synced ${sync}, ${acknowledgedBy(people)} edits acknowledged, ${lost} lost, ${broken} folders that did not start`;
};

/** That cuts are met at all: without syncing something is lost by them. */
export const unsyncedCuts = (folder: string): Promise<string> => cuts(folder, timesOr(8), "never");
