import { createWriteStream, existsSync } from "node:fs";
import { rename, rm } from "node:fs/promises";
import { dirname, resolve } from "node:path";
import { createInterface } from "node:readline";
import { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import { createGzip } from "node:zlib";
import type { Command } from "commander";
import { messageOf } from "../server/errors.js";
import type { Verdict } from "../server/keeping/verify.js";
import type { Terminal } from "./terminal.js";
import { Unusable } from "./unusable.js";

interface KeepOptions {
  data: string;
}

/** Prints a line. */
const sayTo =
  ({ print }: Terminal) =>
  (line: string): void =>
    print(`${line}\n`);

const backup = async (file: string, { data }: KeepOptions, terminal: Terminal): Promise<void> => {
  const say = sayTo(terminal);
  if (existsSync(file)) throw new Unusable([`${file} is there already. Name another file; nothing was changed.`]);
  const { askServed, reach } = await import("../server/keeping/reach.js");
  const { backupLines } = await import("../server/keeping/backup.js");
  const reached = await reach(data, say, false);
  const making = `${file}.${process.pid}.new`;
  try {
    if ("served" in reached) {
      const sent = await askServed(reached.served, "/api/keeping/backup");
      await pipeline(sent, createWriteStream(making, { flags: "wx", mode: 0o600 }));
    } else
      await pipeline(
        Readable.from(backupLines(reached.database)),
        createGzip(),
        createWriteStream(making, { flags: "wx", mode: 0o600 }),
      );
    const { checkBackup } = await import("../server/keeping/restore.js");
    const { frames, revisions } = await checkBackup(making);
    const { syncAt } = await import("../server/database/sync-tree.js");
    await syncAt(making);
    await rename(making, file);
    await syncAt(dirname(resolve(file)));
    say(`${file} holds ${frames} frames with ${revisions} revisions, and was read again.`);
  } catch (error) {
    await rm(making, { force: true });
    throw new Unusable([`${file} could not be written: ${messageOf(error)}`]);
  } finally {
    if ("leave" in reached) await reached.leave();
  }
};

const restore = async (file: string, { data }: KeepOptions, terminal: Terminal): Promise<void> => {
  const say = sayTo(terminal);
  const { reach } = await import("../server/keeping/reach.js");
  const { checkBackup, restoreInto } = await import("../server/keeping/restore.js");
  await checkBackup(file);
  const reached = await reach(data, say, true);
  if ("served" in reached)
    throw new Unusable([
      `${data} is served at ${reached.served.url}. Stop that server, or name another folder by --data.`,
    ]);
  try {
    const { frames, revisions } = await restoreInto(reached.database, file);
    say(`${data} holds ${frames} frames with ${revisions} revisions.`);
  } finally {
    await reached.leave();
  }
};

const verdictSays = ({ id, revisions, sound, head, wrong }: Verdict): string =>
  wrong === null
    ? `${id}: ${revisions} revisions, sound`
    : `${id}: ${wrong}. ${sound === 0 ? "Nothing of it" : `All up to revision ${sound} of ${head}`} can be taken out.`;

const verify = async ({ data }: KeepOptions, terminal: Terminal): Promise<void> => {
  const say = sayTo(terminal);
  const { askServed, reach } = await import("../server/keeping/reach.js");
  const { verified } = await import("../server/keeping/verify.js");
  const reached = await reach(data, say, false);
  const tell = (verdict: Verdict): void => {
    say(verdictSays(verdict));
    if (verdict.wrong !== null) terminal.code = 1;
  };
  try {
    if ("served" in reached) {
      const sent = await askServed(reached.served, "/api/keeping/verify");
      for await (const line of createInterface({ input: sent })) tell(JSON.parse(line));
    } else for await (const verdict of verified(reached.database)) tell(verdict);
  } finally {
    if ("leave" in reached) await reached.leave();
  }
};

const withData = (command: Command): Command =>
  command.option("--data <folder>", "where the frames are kept", process.env.HANDY_FRAME_DATA ?? "data");

export const addBackup = (program: Command, terminal: Terminal): void => {
  withData(
    program
      .command("backup")
      .description("write the whole shelf with its history into a file, also while it is served"),
  )
    .argument("<file>", "a file that is not there yet")
    .action((file: string, options: KeepOptions) => backup(file, options, terminal));
};
export const addRestore = (program: Command, terminal: Terminal): void => {
  withData(
    program
      .command("restore")
      .description("put all of a backup into a new data folder, or nothing where it is not sound"),
  )
    .argument("<file>", "a backup")
    .action((file: string, options: KeepOptions) => restore(file, options, terminal));
};
export const addVerify = (program: Command, terminal: Terminal): void => {
  withData(
    program
      .command("verify")
      .description("look whether each revision is as it was written, and whether they make the newest frame"),
  ).action((options: KeepOptions) => verify(options, terminal));
};
