import { open, rename, rm, stat } from "node:fs/promises";
import { basename, dirname, join } from "node:path";

/**
 * Writes a file so that at any moment it holds the old text or the new one, whole: into another file beside it, which is on
 * the disk before it takes the place of the old one.
 */
export const writeWhole = async (path: string, text: string): Promise<void> => {
  const folder = dirname(path);
  const making = join(folder, `.${basename(path)}.${process.pid}.new`);
  const mode = await stat(path).then(
    (now) => now.mode,
    () => 0o644,
  );
  try {
    const file = await open(making, "w", mode);
    try {
      await file.writeFile(text);
      await file.sync();
    } finally {
      await file.close();
    }
    await rename(making, path);
  } catch (error) {
    await rm(making, { force: true });
    throw error;
  }
  // the new name is on the disk once the folder is; not every system lets a folder be synced
  const held = await open(folder, "r").catch(() => null);
  await held?.sync().catch(() => undefined);
  await held?.close();
};
