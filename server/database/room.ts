import { access, constants, statfs } from "node:fs/promises";
import { messageOf } from "../errors.js";
import { Away } from "./away.js";

const MB = 1024 * 1024;
/** What stays free when something is kept, bytes: the log grows by 16 MB at a time, tables by what is written. */
export const leastRoom = 48 * MB;
/** What a new data folder takes, bytes. */
export const newRoom = 120 * MB;

/** Bytes that are free for a folder's owner. */
const roomAt = async (folder: string): Promise<number> => {
  const { bavail, bsize } = await statfs(folder);
  return bavail * bsize;
};

const inMB = (bytes: number): string => `${Math.floor(bytes / MB)} MB`;

/** Throws where a folder cannot be written, or less than `least` bytes are free in it: a database that runs out of room in the midst of writing does not say so, it stands still. */
export const needRoom = async (folder: string, least: number): Promise<void> => {
  await access(folder, constants.W_OK).catch((error: unknown) => {
    throw new Away("read-only", `${messageOf(error)}. It cannot be written there; nothing was changed.`);
  });
  const room = await roomAt(folder);
  if (room < least)
    throw new Away(
      "no room",
      `${inMB(room)} are free where ${folder} is, and ${inMB(least)} are needed. Make room there; nothing was changed.`,
    );
};
