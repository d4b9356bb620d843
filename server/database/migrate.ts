import { readdir, readFile } from "node:fs/promises";
import { join } from "node:path";
import { migrations } from "../migrations.js";
import type { Database } from "./database.js";

/** How the tables of a database stand to what is known here. */
export interface Migrations {
  /** What was never done to them, in order. */
  missing: string[];
  /** What was done to them by a newer version, and is not known here. */
  unknown: string[];
}

export const migrationsOf = async (database: Database): Promise<Migrations> => {
  const there = await database.query("select from pg_tables where schemaname = 'public' and tablename = 'migrations'");
  const { rows } = there.rows.length
    ? await database.query<{ name: string }>("select name from migrations order by name")
    : { rows: [] };
  const known = (await readdir(migrations)).filter((name) => name.endsWith(".sql")).sort();
  const done = new Set(rows.map(({ name }) => name));
  return {
    missing: known.filter((name) => !done.has(name)),
    unknown: [...done].filter((name) => !known.includes(name)),
  };
};

/** Brings the tables to the newest form: each file of `migrations/` once, in order, in one transaction. */
export const migrate = async (database: Database): Promise<void> => {
  const { missing } = await migrationsOf(database);
  await database.transaction((sql) =>
    sql.exec("create table if not exists migrations (name text primary key, done timestamptz not null default now())"),
  );
  for (const name of missing) {
    const text = await readFile(join(migrations, name), "utf8");
    await database.transaction(async (sql) => {
      await sql.exec(text);
      await sql.query("insert into migrations (name) values ($1)", [name]);
    });
  }
};
