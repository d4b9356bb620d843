import { createHash, randomUUID } from "node:crypto";
import { existsSync, mkdirSync, readdirSync, readFileSync, renameSync, writeFileSync } from "node:fs";
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

/** The database on a PostgreSQL that has the tables and nothing in them: others are copies of it. */
const template = "handy_frame_empty";

/** Makes a database on a PostgreSQL, empty or as a copy of the one that has the tables, and answers its address. */
export const newDatabaseUrl = async (
  server: string,
  { name = `t${randomUUID().replaceAll("-", "")}`, from = "template1" } = {},
): Promise<string> => {
  const client = new pg.Client({ connectionString: server });
  await client.connect();
  await client.query(`create database ${name} template ${from}`);
  await client.end();
  return server.replace("/postgres?", `/${name}?`);
};

/** Makes the database that the others are copies of. */
export const makeTemplate = async (server: string): Promise<void> => {
  const database = await openElsewhere(await newDatabaseUrl(server, { name: template }));
  await database.close();
};

/** Where the files of an empty database with its tables are kept for the runs after: making them takes seconds. */
const emptyAt = (): string => {
  const hash = createHash("sha256");
  for (const name of readdirSync(migrations).sort()) hash.update(name).update(readFileSync(join(migrations, name)));
  const folder = join(import.meta.dirname, "..", "..", ".cache");
  mkdirSync(folder, { recursive: true });
  return join(folder, `empty-${hash.digest("hex").slice(0, 16)}.tar`);
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
export const testDatabase = async (): Promise<Database> => {
  // one project runs the tests of the server on a PostgreSQL, the other ones know nothing of it
  if (!Reflect.has(globalThis, "onPostgres")) return embedded();
  const server = process.env.HANDY_FRAME_TEST_POSTGRES;
  if (server === undefined) throw new Error("There is no PostgreSQL for these tests: it was not started.");
  return openElsewhere(await newDatabaseUrl(server, { from: template }));
};

/** An application on a database of its own. */
export const memoryApp = async (options: Partial<AppOptions> = {}) => {
  const database = await testDatabase();
  const store = new FrameStore(database);
  const broken: unknown[] = [];
  const app = createApp({ store, log: (error) => broken.push(error), ...options });
  return { app, store, database, broken };
};
