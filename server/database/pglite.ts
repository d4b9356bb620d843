import { PGlite } from "@electric-sql/pglite";
import type { Engine, Statement } from "./engine.js";
import type { Sync } from "./sync.js";
import { SyncedFiles } from "./synced-files.js";

export interface PgliteOptions {
  /** Where its files are, or will be. */
  folder: string;
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

/** What works by a PostgreSQL in this thread. */
export const engineOf = (postgres: PGlite): Engine => ({
  async run({ text, values }: Statement) {
    if (values) return (await postgres.query(text, [...values])).rows;
    await postgres.exec(text);
    return [];
  },
  end: () => postgres.close(),
  kill: () => undefined,
});

/** PostgreSQL in this thread, in a folder. */
export const newPglite = async ({ folder, sync }: PgliteOptions): Promise<Engine> => {
  return engineOf(await PGlite.create({ fs: new SyncedFiles(folder, sync), startParams: parametersOf(sync) }));
};
