import { codeOf } from "../errors.js";
import { channel } from "node:diagnostics_channel";
import { closeSync, fstatSync, openSync, renameSync, type Stats, statSync } from "node:fs";
import { type FileHandle, open, readdir, rm, stat } from "node:fs/promises";
import { basename, dirname, join } from "node:path";
import { isSameLook, type Look, lookOf } from "./look.js";

/** When, on the clock of `process.hrtime`, a file was looked at for the last time, and when it had been replaced: told to whoever traces it. */
export interface Replacing {
  path: string;
  looked: bigint;
  replaced: bigint;
}
export const replacing = channel("handy-frame:replacing");

/** What a file is once it was written. */
export interface Written {
  look: Look;
  /** The file that it took the place of, still open, as another hand may be in the midst of writing to it; null when there was none. */
  replaced: number | null;
}

/** The file at the path, open, if it looks as expected; else null. */
const expectedAt = (path: string, expected: Look | null): { file: number | null } | null => {
  try {
    const file = openSync(path, "r");
    const isAsKnown = isSameLook(lookOf(fstatSync(file, { bigint: true })), expected);
    if (isAsKnown && isSameLook(lookOf(statSync(path, { bigint: true })), expected)) return { file };
    closeSync(file);
    return null;
  } catch (error) {
    if (codeOf(error) !== "ENOENT") throw error;
    return expected === null ? { file: null } : null;
  }
};

/** Gives a file the owner that the one before it had, where this process may: then it is no reason not to write it. */
const keepOwner = async (file: FileHandle, { uid, gid }: Stats): Promise<void> => {
  const own = await file.stat();
  if (own.uid !== uid || own.gid !== gid) await file.chown(uid, gid).catch(() => undefined);
};

/** What a file is written as first, beside its place. */
const makingOf = (path: string, process: number | string): string => `.${basename(path)}.${process}.new`;

/** Takes away what a process that was killed left beside a file. */
export const sweepBeside = async (path: string): Promise<void> => {
  const folder = dirname(path);
  const [before = "", after = ""] = makingOf(path, "*").split("*");
  for (const name of await readdir(folder).catch(() => [])) {
    const process = name.slice(before.length, name.length - after.length);
    if (name !== makingOf(path, process) || !/^\d+$/.test(process)) continue;
    const found = await stat(join(folder, name)).catch(() => null);
    // what is younger may be written just now, by who does not see this one
    if (found && Date.now() - found.mtimeMs > leftAfter) await rm(join(folder, name), { force: true });
  }
};
/** Writing takes no longer, ms. */
const leftAfter = 60_000;

/** What of a file cannot stay as it is once it is written, in words. */
export const changedByWriting = async (path: string): Promise<string[]> => {
  const found = await stat(path).catch(() => null);
  const user = process.getuid?.();
  if (!found) return [];
  return [
    ...(found.nlink > 1
      ? [`${path} has other names too (hard links): what these have stays as it is when this one is written.`]
      : []),
    ...(user !== undefined && user !== 0 && found.uid !== user
      ? [`${path} is another user's: it becomes this one's when it is written.`]
      : []),
  ];
};

/**
 * Writes a file so that at any moment it holds the old text or the new one, whole: into another file beside it, which is on
 * the disk before it takes the place of the old one. Null, and nothing written, if the file does not look as `expected` any
 * more (null: there is none) right before that.
 */
export const writeWhole = async (
  path: string,
  text: string | Uint8Array,
  expected: Look | null,
): Promise<Written | null> => {
  const folder = dirname(path);
  const making = join(folder, makingOf(path, process.pid));
  const now = await stat(path).catch(() => null);
  let written: Written;
  try {
    const file = await open(making, "w");
    try {
      if (now) await keepOwner(file, now);
      if (now) await file.chmod(now.mode);
      await file.writeFile(text);
      await file.sync();
      const look = lookOf(await file.stat({ bigint: true }));
      // from the look to the rename nothing waits: what another hand does in between has no more than a few µs for it
      const looked = process.hrtime.bigint();
      const found = expectedAt(path, expected);
      if (!found) {
        await rm(making, { force: true });
        return null;
      }
      renameSync(making, path);
      replacing.publish({ path, looked, replaced: process.hrtime.bigint() } satisfies Replacing);
      written = { look, replaced: found.file };
    } finally {
      await file.close();
    }
  } catch (error) {
    await rm(making, { force: true });
    throw error;
  }
  // the new name is on the disk once the folder is; not every system lets a folder be synced
  const held = await open(folder, "r").catch(() => null);
  await held?.sync().catch(() => undefined);
  await held?.close();
  return written;
};
