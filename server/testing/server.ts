import { randomUUID } from "node:crypto";
import pg from "pg";
import { type AppOptions, createApp } from "../app.js";
import type { Database } from "../database/database.js";
import { migrate } from "../database/migrate.js";
import { openElsewhere, openInMemory } from "../database/open.js";
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

/** An empty database with its tables. */
export const testDatabase = async (): Promise<Database> => {
  if (elsewhere !== undefined) return openElsewhere(await newDatabaseUrl(elsewhere));
  const database = await openInMemory();
  await migrate(database);
  return database;
};

/** An application on a database of its own. */
export const memoryApp = async (options: Partial<AppOptions> = {}) => {
  const database = await testDatabase();
  const store = new FrameStore(database);
  const broken: unknown[] = [];
  const app = createApp({ store, log: (error) => broken.push(error), ...options });
  return { app, store, database, broken };
};
