import { randomUUID } from "node:crypto";
import { mkdir, stat } from "node:fs/promises";
import { dirname, resolve } from "node:path";
import { type FileHold, holdByFile } from "./by-file.js";
import { holdBySocket } from "./by-socket.js";
import { ownHolder } from "./holder.js";

export { Busy } from "./busy.js";

/** Gives the folder free again. */
export type Release = () => Promise<void>;

/** Makes a folder and those it lies in. Node's own way of it never ends where the system says of a folder that is there that it is not, as of /proc. */
const makeFolder = async (folder: string): Promise<void> => {
  const make = (): Promise<string | null> =>
    mkdir(folder).then(
      () => null,
      (error: NodeJS.ErrnoException) => {
        if (error.code === "EEXIST" || error.code === "ENOENT") return error.code;
        throw error;
      },
    );
  if ((await make()) === "ENOENT" && dirname(folder) !== folder) {
    await makeFolder(dirname(folder));
    if ((await make()) === "ENOENT") throw new Error(`The folder ${folder} cannot be made.`);
  }
  if (!(await stat(folder)).isDirectory()) throw new Error(`${folder} is no folder.`);
};

/**
 * Holds a data folder, made if it is not there, for this process alone: two on one would corrupt it silently. A folder is
 * known by device and inode, so that another path to it, as through a mount, is the same folder.
 */
export const holdFolder = async (
  folder: string,
  say?: (line: string) => void,
  onLost?: () => void,
): Promise<Release> => {
  await makeFolder(resolve(folder));
  const own = ownHolder(randomUUID());
  const { dev, ino } = await stat(folder, { bigint: true });
  const socket = process.platform === "linux" ? await holdBySocket(folder, `${dev}-${ino}`, own) : null;
  let file: FileHold;
  try {
    file = await holdByFile(folder, {
      own,
      isAlone: socket !== null,
      ...(say && { say }),
      ...(onLost && { onLost }),
    });
  } catch (error) {
    await socket?.();
    throw error;
  }
  return async () => {
    await file.release();
    await socket?.();
  };
};
