import { Readable } from "node:stream";
import { sure } from "../../core/index.js";
import { isMade, openDatabase, openElsewhere } from "../database/open.js";
import { Busy, holdFolder } from "../folder/hold.js";
import { type Served, servedAt } from "../folder/served.js";
import type { Database } from "../database/database.js";

/** A data folder as a command comes to it: by itself, or through the server that holds it. */
export type Reached = { database: Database; leave: () => Promise<void> } | { served: Served };

/** Comes to the database of `DATABASE_URL` where there is one; else to a data folder, whether it is served or not, which is made only where that `makes` sense. */
export const reach = async (folder: string, say: (line: string) => void, makes: boolean): Promise<Reached> => {
  const elsewhere = process.env.DATABASE_URL;
  if (elsewhere !== undefined) {
    const database = await openElsewhere(elsewhere);
    return { database, leave: () => database.close() };
  }
  // a folder that was mistyped is not an empty shelf
  if (!makes && !isMade(folder))
    throw new Error(`${folder} is no data folder. Name one by --data; nothing was changed.`);
  try {
    const release = await holdFolder(folder, say);
    try {
      const database = await openDatabase({ folder, sync: "each", say });
      return {
        database,
        leave: async () => {
          await database.close();
          await release();
        },
      };
    } catch (error) {
      await release();
      throw error;
    }
  } catch (error) {
    const served = error instanceof Busy ? await servedAt(folder) : null;
    if (!served) throw error;
    return { served };
  }
};

/** Asks the server of a folder, and answers what it sends. */
export const askServed = async ({ url, key }: Served, path: string): Promise<Readable> => {
  const response = await fetch(new URL(path, url), { headers: key ? { authorization: `Bearer ${key}` } : {} });
  if (!response.ok) throw new Error(`The server at ${url} answers ${response.status} ${response.statusText}.`);
  return Readable.from(sure(response.body));
};
