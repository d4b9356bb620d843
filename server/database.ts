import { messageOf } from "./errors.js";
import { existsSync } from "node:fs";
import { readdir, readFile, rename, rm } from "node:fs/promises";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { PGlite, type Transaction } from "@electric-sql/pglite";

export type Sql = Pick<Transaction, "query" | "exec">;

/** PostgreSQL in the data folder. */
export type Database = PGlite;

/** PostgreSQL in a folder that is there or will be made; none keeps it in memory. What is logged ahead of writing is kept small: it is a person's disk. */
export const newPostgres = (folder?: string): Promise<Database> =>
  PGlite.create({
    ...(folder !== undefined && { dataDir: folder }),
    startParams: [...PGlite.defaultStartParams, "-c", "max_wal_size=64MB"],
  });

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

const keepIt = "Nothing was changed. Name another folder by --data.";

/** Whether a data folder has its database. */
export const isMade = (folder: string): boolean => existsSync(join(folder, "db"));

/** A folder with things in it that nobody but another program can have put there is left alone. */
const refuseForeign = async (folder: string): Promise<void> => {
  const own = (name: string) => name.startsWith(".") || /^(db|db\.new|held-by.*|lost\+found)$/.test(name);
  const others = (await readdir(folder)).filter((name) => !own(name));
  if (!isMade(folder) && others.length)
    throw new Error(
      `The folder ${folder} holds ${others.slice(0, 3).join(", ")}${others.length > 3 ? " and more" : ""}: it is no data folder. ${keepIt}`,
    );
  if (isMade(folder) && !existsSync(join(folder, "db", "PG_VERSION")))
    throw new Error(`${join(folder, "db")} is no database. ${keepIt}`);
};

/** Opens the database in the folder; makes it first if it is not there, beside its place, so that a half-made one is never opened. */
export const openDatabase = async (folder: string, say: (line: string) => void): Promise<Database> => {
  const place = join(folder, "db");
  await refuseForeign(folder);
  if (!existsSync(place)) {
    const making = join(folder, "db.new");
    await rm(making, { recursive: true, force: true });
    say(`Making the data folder ${folder}: about ten seconds, this once …`);
    const began = Date.now();
    const ticking = setInterval(() => say(`  … ${Math.round((Date.now() - began) / 1000)} s`), 2000);
    try {
      const fresh = await newPostgres(making);
      await migrate(fresh);
      await fresh.close();
    } catch (error) {
      await rm(making, { recursive: true, force: true });
      const why = messageOf(error) || "it does not say why";
      throw new Error(`The database could not be made in ${folder}: ${why}. It takes 50 MB there: is that free?`, {
        cause: error,
      });
    } finally {
      clearInterval(ticking);
    }
    await rename(making, place);
    say(`The data folder is made (${((Date.now() - began) / 1000).toFixed(1)} s).`);
  }
  const database = await newPostgres(place).catch(() => {
    throw new Error(`${place} cannot be opened as a database: it is another program's, or was broken. ${keepIt}`);
  });
  await migrate(database);
  return database;
};
