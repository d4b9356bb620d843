import { PGlite } from "@electric-sql/pglite";
import type { Engine, Statement } from "./engine.js";
import type { Sync } from "./sync.js";
import { SyncedFiles } from "./synced-files.js";

export interface PgliteOptions {
  /** Where its files are, or will be; none keeps them in memory. */
  folder?: string | undefined;
  sync: Sync;
}

/** What it is started with: little is kept of what was logged, as it is a person's disk, and what is to be on the disk is synced there. */
const parametersOf = (sync: Sync): string[] => [
  ...PGlite.defaultStartParams.filter((each) => each !== "-F"),
  ...[
    "min_wal_size=32MB",
    "max_wal_size=64MB",
    "wal_sync_method=fsync",
    `fsync=${sync === "never" ? "off" : "on"}`,
  ].flatMap((setting) => ["-c", setting]),
];

/** PostgreSQL in this thread, in a folder or in memory. */
export const newPglite = async ({ folder, sync }: PgliteOptions): Promise<Engine> => {
  const postgres = await PGlite.create({
    ...(folder !== undefined && { fs: new SyncedFiles(folder, sync) }),
    startParams: parametersOf(folder === undefined ? "never" : sync),
  });
  return {
    async run({ text, values }: Statement) {
      if (values) return (await postgres.query(text, [...values])).rows;
      await postgres.exec(text);
      return [];
    },
    end: () => postgres.close(),
    kill: () => undefined,
  };
};
