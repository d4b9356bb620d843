import { createServer } from "node:http";
import type { AddressInfo } from "node:net";
import pino from "pino";
import { createApp } from "./app.js";
import { cleanUp } from "./database/clean-up.js";
import { isMade, openDatabase } from "./database/open.js";
import type { Sync } from "./database/sync.js";
import { holdFolder } from "./folder/hold.js";
import { upgradeFrames } from "./frames/upgrade.js";
import { FrameStore } from "./frames/store.js";
import { page, readyPage } from "./page.js";
import { openFiles, readFiles, refuseUnusable, seedDemos } from "./seed.js";

export interface ServeOptions {
  /** Frame files to work on as they are. */
  files: readonly string[];
  port: number;
  host: string;
  /** The data folder. */
  data: string;
  /** When what is acknowledged is on the disk. */
  sync: Sync;
  /** Where progress goes. */
  say: (line: string) => void;
}

export interface Serving {
  url: string;
  stop: () => Promise<void>;
}

const cleanEvery = 10 * 60_000;

/** Serves the application until it is told to stop; what it began is ended again when it cannot. */
export const serve = async (options: ServeOptions): Promise<Serving> => {
  /** What ends that which was begun, the last one first. */
  const ends: (() => unknown)[] = [];
  let ending: Promise<void> | null = null;
  const stop = () =>
    (ending ??= (async () => {
      for (const end of ends.reverse()) await end();
    })());
  try {
    const url = await begin(options, ends, stop);
    return { url, stop };
  } catch (error) {
    await stop();
    throw error;
  }
};

const begin = async (
  { files, port, host, data, sync, say }: ServeOptions,
  ends: (() => unknown)[],
  stop: () => Promise<void>,
): Promise<string> => {
  const leave = (code: number) =>
    void stop().then(
      () => process.exit(code),
      () => process.exit(1),
    );
  const onLost = () => {
    process.stderr.write(
      `The data folder ${data} was taken by another process while this one stood still: it stops.\n`,
    );
    leave(1);
  };
  const given = await readFiles(files);
  // where nothing was ever kept, making the folder first would only let the person wait
  if (!isMade(data)) await refuseUnusable(given, async () => false, say);
  await readyPage(say);
  ends.push(await holdFolder(data, say, onLost));
  const database = await openDatabase({ folder: data, sync, say });
  ends.push(() => database.close());
  await upgradeFrames(database, say);
  const store = new FrameStore(database);
  await refuseUnusable(given, (path) => store.isKept(path), say);
  await seedDemos(store, say);
  ends.push(() => store.closeFiles());
  const opened = await openFiles(store, given);

  const log = pino({ level: process.env.LOG_LEVEL ?? "warn" }, pino.destination(2));
  const app = createApp({ store, hosts: [host], page, log: (error) => log.error(error) });
  const server = createServer(app);
  await new Promise<void>((resolve, reject) => {
    server.once("error", reject);
    server.listen(port, host, resolve);
  });
  // open requests are answered first; live connections never end by themselves
  ends.push(async () => {
    const closed = new Promise<void>((resolve) => server.close(() => resolve()));
    server.closeIdleConnections();
    setTimeout(() => server.closeAllConnections(), 500).unref();
    await closed;
  });

  const cleaning = setInterval(() => {
    if (!store.dirty) return;
    store.dirty = false;
    cleanUp(database).catch((error: unknown) => log.error(error));
  }, cleanEvery);
  cleaning.unref();
  ends.push(() => clearInterval(cleaning));

  for (const signal of ["SIGTERM", "SIGINT"] as const) process.once(signal, () => leave(0));
  const { port: taken } = server.address() as AddressInfo;
  const url = `http://${host.includes(":") ? `[${host}]` : host === "0.0.0.0" ? "localhost" : host}:${taken}/`;
  say(`Handy Frame is at ${url}`);
  for (const { path, id } of opened) say(`${path} is worked on at ${url}f/${id}/plan`);
  return url;
};
