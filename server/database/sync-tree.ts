import { open, readdir } from "node:fs/promises";
import { join } from "node:path";

/** Brings a file on the disk, or the names in a folder. */
export const syncAt = async (path: string): Promise<void> => {
  // not every system lets a folder be opened and synced
  const held = await open(path, "r").catch(() => null);
  await held?.sync().catch(() => undefined);
  await held?.close();
};

/** Brings a folder on the disk, with all in it so deep; its own entry in the folder above is not. */
export const syncTree = async (folder: string, deep = Infinity): Promise<void> => {
  if (deep > 0)
    for (const entry of await readdir(folder, { withFileTypes: true })) {
      const path = join(folder, entry.name);
      if (entry.isDirectory()) await syncTree(path, deep - 1);
      else await syncAt(path);
    }
  await syncAt(folder);
};
