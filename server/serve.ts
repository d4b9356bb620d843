import { createServer } from "node:http";
import type { AddressInfo } from "node:net";
import { fileURLToPath } from "node:url";
import pino from "pino";
import { createApp } from "./app.js";
import { openDatabase } from "./database.js";
import { FrameStore } from "./frames/store.js";
import { holdFolder } from "./lock.js";
import { openFiles, seedDemos } from "./seed.js";

export interface ServeOptions {
  /** Frame files to work on as they are. */
  files: readonly string[];
  port: number;
  host: string;
  /** The data folder. */
  data: string;
  /** Where progress goes. */
  say: (line: string) => void;
}

export interface Serving {
  url: string;
  stop: () => Promise<void>;
}

const cleanEvery = 10 * 60_000;
const page = fileURLToPath(new URL("../dist/web", import.meta.url));

/** Serves the application until it is told to stop; a stop ends open requests first, then closes the data folder. */
export const serve = async ({ files, port, host, data, say }: ServeOptions): Promise<Serving> => {
  const release = await holdFolder(data);
  const database = await openDatabase(data, say);
  const store = new FrameStore(database);
  await seedDemos(store, say);
  const opened = await openFiles(store, files, say);
  const log = pino({ level: process.env.LOG_LEVEL ?? "warn" }, pino.destination(2));
  const app = createApp({ store, hosts: [host], page, log: (error) => log.error(error) });
  const server = createServer(app);
  await new Promise<void>((resolve, reject) => {
    server.once("error", reject);
    server.listen(port, host, resolve);
  }).catch(async (error: unknown) => {
    await store.closeFiles();
    await database.close();
    await release();
    throw error;
  });

  // the embedded database does not clean up behind updates by itself
  const cleaning = setInterval(() => {
    if (!store.dirty) return;
    store.dirty = false;
    database.exec("vacuum frames; vacuum revisions;").catch((error: unknown) => log.error(error));
  }, cleanEvery);
  cleaning.unref();

  let stopping: Promise<void> | null = null;
  const stop = () =>
    (stopping ??= (async () => {
      clearInterval(cleaning);
      const closed = new Promise<void>((resolve) => server.close(() => resolve()));
      server.closeIdleConnections();
      // live connections never end by themselves
      setTimeout(() => server.closeAllConnections(), 500).unref();
      await closed;
      await store.closeFiles();
      await database.close();
      await release();
    })());
  for (const signal of ["SIGTERM", "SIGINT"] as const)
    process.once(signal, () => {
      stop().then(
        () => process.exit(0),
        () => process.exit(1),
      );
    });

  const { port: taken } = server.address() as AddressInfo;
  const url = `http://${host.includes(":") ? `[${host}]` : host === "0.0.0.0" ? "localhost" : host}:${taken}/`;
  say(`Handy Frame is at ${url}`);
  for (const { path, id } of opened) say(`${path} is worked on at ${url}f/${id}/plan`);
  return { url, stop };
};
