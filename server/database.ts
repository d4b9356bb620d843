import { existsSync } from "node:fs";
import { readdir, readFile, rename, rm } from "node:fs/promises";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { PGlite, type Transaction } from "@electric-sql/pglite";

export type Sql = Pick<Transaction, "query" | "exec">;

/** PostgreSQL in the data folder. */
export type Database = PGlite;

const migrations = fileURLToPath(new URL("./migrations", import.meta.url));

/** Brings the tables to the newest form: each file of `migrations/` once, in order, in one transaction. */
export const migrate = async (database: Database): Promise<void> => {
  await database.exec(
    "create table if not exists migrations (name text primary key, done timestamptz not null default now())",
  );
  const { rows } = await database.query<{ name: string }>("select name from migrations");
  const done = new Set(rows.map((row) => row.name));
  for (const name of (await readdir(migrations)).sort()) {
    if (!name.endsWith(".sql") || done.has(name)) continue;
    const text = await readFile(join(migrations, name), "utf8");
    await database.transaction(async (sql) => {
      await sql.exec(text);
      await sql.query("insert into migrations (name) values ($1)", [name]);
    });
  }
};

/** Opens the database in the folder; makes it first if it is not there, beside its place, so that a half-made one is never opened. */
export const openDatabase = async (folder: string, say: (line: string) => void): Promise<Database> => {
  const place = join(folder, "db");
  if (!existsSync(place)) {
    const making = join(folder, "db.new");
    await rm(making, { recursive: true, force: true });
    say(`Making the data folder ${folder}: about ten seconds, this once …`);
    const began = Date.now();
    const ticking = setInterval(() => say(`  … ${Math.round((Date.now() - began) / 1000)} s`), 2000);
    try {
      const fresh = await PGlite.create(making);
      await migrate(fresh);
      await fresh.close();
    } finally {
      clearInterval(ticking);
    }
    await rename(making, place);
    say(`The data folder is made (${((Date.now() - began) / 1000).toFixed(1)} s).`);
  }
  const database = await PGlite.create(place);
  await migrate(database);
  return database;
};
