import { execFileSync } from "node:child_process";
import { chmodSync, mkdirSync, rmSync, statfsSync, writeFileSync } from "node:fs";
import { dirname, join } from "node:path";

const MB = 1024 * 1024;

/** A disk of its own in memory, that can be filled and made read-only (Linux, tmpfs; by root alone). */
export interface SmallDisk {
  folder: string;
  /** Leaves so many bytes free. */
  fill(leaves: number): void;
  /** Gives free again what was filled. */
  clear(): void;
  readOnly(): void;
}

/** Does something on a disk of so many MB, which is gone after it. */
export const onSmallDisk = async <T>(
  folder: string,
  size: number,
  work: (disk: SmallDisk) => Promise<T>,
): Promise<T> => {
  mkdirSync(folder, { recursive: true });
  // also a user of its own may come through to it
  chmodSync(dirname(folder), 0o711);
  execFileSync("mount", ["-t", "tmpfs", "-o", `size=${size}m,mode=0755`, "none", folder]);
  const filler = join(folder, "filler");
  const clear = () => rmSync(filler, { force: true });
  try {
    return await work({
      folder,
      clear,
      fill(leaves) {
        clear();
        const { bavail, bsize } = statfsSync(folder);
        let left = bavail * bsize - leaves;
        for (; left > 0; left -= MB) writeFileSync(filler, Buffer.alloc(Math.min(left, MB)), { flag: "a" });
      },
      readOnly: () => void execFileSync("mount", ["-o", "remount,ro", folder]),
    });
  } finally {
    execFileSync("umount", [folder]);
  }
};
