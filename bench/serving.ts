import { once } from "node:events";
import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { createApp } from "../server/app.js";
import { openDatabase } from "../server/database/open.js";
import { FrameStore } from "../server/frames/store.js";
import { seedDemos } from "../server/seed.js";

export const built = join(import.meta.dirname, "..", "dist", "web");

/** The application on a shelf of its own with the demos, for as long as it is worked with. */
export const served = async <T>(work: (url: string, store: FrameStore) => Promise<T>): Promise<T> => {
  const database = await openDatabase({
    folder: mkdtempSync(join(tmpdir(), "handy-frame-bench-")),
    sync: "each",
    say: () => undefined,
  });
  const store = new FrameStore(database);
  await seedDemos(store, () => undefined);
  const server = createApp({ store, page: built }).listen(0, "127.0.0.1");
  await once(server, "listening");
  const address = server.address();
  const port = typeof address === "object" ? address?.port : undefined;
  try {
    return await work(`http://127.0.0.1:${port}/`, store);
  } finally {
    server.closeAllConnections();
    server.close();
    await database.close();
  }
};
