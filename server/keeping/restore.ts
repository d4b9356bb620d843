import { createHash } from "node:crypto";
import { presentFormat } from "../../core/index.js";
import { backupLine } from "../../shape/backup.js";
import type { Database, Sql } from "../database/database.js";
import { messageOf } from "../errors.js";
import * as rows from "../frames/repository.js";
import { backupFormat, type BackupLine } from "./backup.js";
import { gunzippedLines } from "./lines.js";
import { verified } from "./verify.js";

/** What a backup holds. */
export interface Held {
  frames: number;
  revisions: number;
}

/** The lines of a backup, each with its number from 1. Throws where the file cannot be read, or a line is none. */
async function* linesOf(file: string): AsyncGenerator<{ line: BackupLine; text: string; at: number }> {
  let at = 0;
  for await (const text of gunzippedLines(file)) {
    at += 1;
    let line: unknown;
    try {
      line = JSON.parse(text);
    } catch {
      throw new Error(`line ${at} is not JSON`);
    }
    const { error } = backupLine.validate(line, { convert: false });
    if (error) throw new Error(`line ${at} is no line of a backup: ${error.message}`);
    yield { line: line as BackupLine, text, at };
  }
}

/** Goes over a whole backup before anything of it is used; throws what is wrong with it. */
const looked = async (file: string): Promise<Held> => {
  const hash = createHash("sha256");
  const held: Held = { frames: 0, revisions: 0 };
  let end: Extract<BackupLine, { end: unknown }>["end"] | null = null;
  for await (const { line, text, at } of linesOf(file)) {
    if (end) throw new Error(`line ${at} comes after the end`);
    if ("backup" in line !== (at === 1)) throw new Error(`line ${at} is not where it belongs`);
    if ("backup" in line && (line.backup !== backupFormat || line.format !== presentFormat))
      throw new Error(
        `it is of ${line.backup} and ${line.format}; this version reads ${backupFormat} and ${presentFormat}`,
      );
    if ("end" in line) end = line.end;
    else hash.update(`${text}\n`);
    if ("frame" in line) held.frames += 1;
    if ("revision" in line) held.revisions += 1;
  }
  if (!end) throw new Error("its end is missing: it was not written to the end, or was cut");
  if (hash.digest("hex") !== end.sha256 || held.frames !== end.frames || held.revisions !== end.revisions)
    throw new Error("what is in it is not what was written");
  return held;
};

const put = async (sql: Sql, file: string): Promise<void> => {
  let frame = "";
  for await (const { line } of linesOf(file)) {
    if ("frame" in line) {
      frame = line.frame.id;
      await rows.putFrame(sql, line.frame);
    } else if ("revision" in line) await rows.putWritten(sql, frame, line.revision);
  }
};

/** Goes over a whole backup; throws in one line what is wrong with it. */
export const checkBackup = (file: string): Promise<Held> =>
  looked(file).catch((error: unknown) => {
    throw new Error(`${file} cannot be restored: ${messageOf(error)}. Nothing was changed.`, { cause: error });
  });

/** Puts all of a backup that was checked on an empty shelf: the whole of it, or nothing where anything is wrong with it. */
export const restoreInto = async (database: Database, file: string): Promise<Held> => {
  const held = await checkBackup(file);
  await database.transaction(async (sql) => {
    const there = (await rows.listFrames(sql)).length;
    if (there > 0)
      throw new Error(
        `There are ${there} frames on the shelf. A backup is restored into a new folder: name one by --data.`,
      );
    await put(sql, file);
    for await (const { id, wrong } of verified(sql))
      if (wrong) throw new Error(`${file} cannot be restored: in ${id}, ${wrong}. Nothing was changed.`);
  });
  return held;
};
