import { codeOf } from "../errors.js";
import type { BigIntStats } from "node:fs";
import { stat } from "node:fs/promises";

/** What a file looks like from outside: another look means another hand. The same look may still hide a change, as clocks of file systems tick in ms. */
export interface Look {
  /** When it was written last, ns. */
  written: bigint;
  size: bigint;
  inode: bigint;
}

export const lookOf = ({ mtimeNs, size, ino }: BigIntStats): Look => ({ written: mtimeNs, size, inode: ino });

export const isSameLook = (a: Look | null, b: Look | null): boolean =>
  a === b || (a !== null && b !== null && a.written === b.written && a.size === b.size && a.inode === b.inode);

/** How a file looks; null when there is none. */
export const lookAt = async (path: string): Promise<Look | null> => {
  try {
    return lookOf(await stat(path, { bigint: true }));
  } catch (error) {
    if (codeOf(error) === "ENOENT") return null;
    throw error;
  }
};
