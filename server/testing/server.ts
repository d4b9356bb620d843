import { createApp } from "../app.js";
import { migrate } from "../database/migrate.js";
import { openInMemory } from "../database/open.js";
import { FrameStore } from "../frames/store.js";

/** An application on a database in memory. */
export const memoryApp = async () => {
  const database = await openInMemory();
  await migrate(database);
  const store = new FrameStore(database);
  const broken: unknown[] = [];
  const app = createApp({ store, log: (error) => broken.push(error) });
  return { app, store, database, broken };
};
