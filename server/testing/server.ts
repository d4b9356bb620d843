import { createHash, randomUUID } from "node:crypto";
import { existsSync, readdirSync, readFileSync, renameSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { PGlite } from "@electric-sql/pglite";
import pg from "pg";
import { type AppOptions, createApp } from "../app.js";
import type { Database } from "../database/database.js";
import { migrate } from "../database/migrate.js";
import { OneSession } from "../database/one-session.js";
import { openElsewhere } from "../database/open.js";
import { engineOf } from "../database/pglite.js";
import { migrations } from "../migrations.js";
import { FrameStore } from "../frames/store.js";

/** The address of a PostgreSQL on which server tests run; without it they run on the embedded one. */
const elsewhere = process.env.HANDY_FRAME_TEST_POSTGRES;

/** The address of a new, empty database on that. */
export const newDatabaseUrl = async (server: string): Promise<string> => {
  const name = `t${randomUUID().replaceAll("-", "")}`;
  const client = new pg.Client({ connectionString: server });
  await client.connect();
  await client.query(`create database ${name}`);
  await client.end();
  return server.replace("/postgres?", `/${name}?`);
};

/** Where the files of an empty database with its tables are kept for the tests after: making them takes seconds. */
const emptyAt = (): string => {
  const hash = createHash("sha256");
  for (const name of readdirSync(migrations).sort()) hash.update(name).update(readFileSync(join(migrations, name)));
  return join(tmpdir(), `handy-frame-empty-${hash.digest("hex").slice(0, 16)}.tar`);
};

/** An embedded database in memory, empty with its tables. */
const embedded = async (): Promise<Database> => {
  const kept = emptyAt();
  if (!existsSync(kept)) {
    const postgres = await PGlite.create();
    const first = new OneSession({ begin: async () => engineOf(postgres) });
    await migrate(first);
    const making = `${kept}.${process.pid}`;
    writeFileSync(making, Buffer.from(await (await postgres.dumpDataDir("none")).arrayBuffer()));
    renameSync(making, kept);
    await first.close();
  }
  const loadDataDir = new Blob([readFileSync(kept)]);
  return new OneSession({ begin: async () => engineOf(await PGlite.create({ loadDataDir })) });
};

/** An empty database with its tables. */
export const testDatabase = async (): Promise<Database> =>
  elsewhere === undefined ? embedded() : openElsewhere(await newDatabaseUrl(elsewhere));

/** An application on a database of its own. */
export const memoryApp = async (options: Partial<AppOptions> = {}) => {
  const database = await testDatabase();
  const store = new FrameStore(database);
  const broken: unknown[] = [];
  const app = createApp({ store, log: (error) => broken.push(error), ...options });
  return { app, store, database, broken };
};
