import { readFile, rm, writeFile } from "node:fs/promises";
import { join } from "node:path";

/** Where the server of a data folder is, for commands on the same folder. */
export interface Served {
  url: string;
  key: string | null;
}

const pathIn = (folder: string): string => join(folder, ".served");

/** Tells where the folder is served, to its owner alone; the answer takes that back. */
export const tellServed = async (folder: string, served: Served): Promise<() => Promise<void>> => {
  await writeFile(pathIn(folder), JSON.stringify(served), { mode: 0o600 });
  return () => rm(pathIn(folder), { force: true });
};

/** Where the folder is served, by what its server told; null where that cannot be known. */
export const servedAt = async (folder: string): Promise<Served | null> => {
  try {
    const { url, key }: Partial<Record<keyof Served, unknown>> = JSON.parse(await readFile(pathIn(folder), "utf8"));
    return typeof url === "string" ? { url, key: typeof key === "string" ? key : null } : null;
  } catch {
    return null;
  }
};
