import { createApp } from "../app.js";
import { migrate, newPostgres } from "../database.js";
import { FrameStore } from "../frames/store.js";

/** An application on a database in memory. */
export const memoryApp = async () => {
  const database = await newPostgres();
  await migrate(database);
  const store = new FrameStore(database);
  const broken: unknown[] = [];
  const app = createApp({ store, log: (error) => broken.push(error) });
  return { app, store, database, broken };
};
