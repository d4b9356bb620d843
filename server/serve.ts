import { createServer } from "node:http";
import pino from "pino";
import type { Express } from "express";
import { keysAsked, openTo, urlOf } from "./access/asked.js";
import type { Database } from "./database/database.js";
import { isMade, openDatabase, openElsewhere } from "./database/open.js";
import type { Sync } from "./database/sync.js";
import { holdFolder } from "./folder/hold.js";
import { deletedFor, thin } from "./keeping/thin.js";
import { tellServed } from "./folder/served.js";
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
  /** The address of a PostgreSQL that keeps the frames instead. */
  elsewhere?: string | undefined;
  /** Addresses of proxies before it. */
  proxies: readonly string[];
  /** Nothing old is thinned, and nothing deleted emptied. */
  keepsAll: boolean;
  /** When what is acknowledged is on the disk. */
  sync: Sync;
  /** Where progress goes. */
  say: (line: string) => void;
}

export interface Serving {
  url: string;
  stop: () => Promise<void>;
}

/** What ends that which was begun, the last one first, and how the process ends with it. */
interface Begun {
  ends: (() => unknown)[];
  leave: (code: number) => void;
}

/** How often what is old is thinned, and what is free given back, ms; another number of seconds is for who measures that. */
const keepEvery = Number(process.env.HANDY_FRAME_KEEP_EVERY ?? 600) * 1000;

/** Serves the application until it is told to stop; what it began is ended again when it cannot. */
export const serve = async (options: ServeOptions): Promise<Serving> => {
  const ends: Begun["ends"] = [];
  let ending: Promise<void> | null = null;
  const stop = () =>
    (ending ??= (async () => {
      for (const end of ends.reverse()) await end();
    })());
  try {
    const leave = (code: number) =>
      void stop().then(
        () => process.exit(code),
        () => process.exit(1),
      );
    const url = await begin(options, { ends, leave });
    return { url, stop };
  } catch (error) {
    await stop();
    throw error;
  }
};

/** Comes to the database: the one that was named, or that in the data folder, which is held. */
const comeTo = async ({ data, elsewhere, sync, say }: ServeOptions, begun: Begun): Promise<Database> => {
  if (elsewhere !== undefined) {
    const database = await openElsewhere(elsewhere);
    begun.ends.push(() => database.close());
    return database;
  }
  const onLost = () => {
    process.stderr.write(
      `The data folder ${data} was taken by another process while this one stood still: it stops.\n`,
    );
    begun.leave(1);
  };
  begun.ends.push(await holdFolder(data, say, onLost));
  const database = await openDatabase({ folder: data, sync, say });
  begun.ends.push(() => database.close());
  return database;
};

/** Listens; open requests are answered before it ends. */
const listen = async (app: Express, { port, host }: ServeOptions, { ends }: Begun): Promise<number> => {
  const server = createServer(app);
  await new Promise<void>((resolve, reject) => {
    server.once("error", reject);
    server.listen(port, host, resolve);
  });
  // live connections never end by themselves
  ends.push(async () => {
    const closed = new Promise<void>((resolve) => server.close(() => resolve()));
    server.closeIdleConnections();
    setTimeout(() => server.closeAllConnections(), 500).unref();
    await closed;
  });
  const address = server.address();
  return typeof address === "object" && address ? address.port : port;
};

const begin = async (options: ServeOptions, begun: Begun): Promise<string> => {
  const { files, host, data, elsewhere, proxies, keepsAll, say } = options;
  const { ends } = begun;
  const given = await readFiles(files);
  if (elsewhere !== undefined && given.length)
    throw new Error(
      "A file is worked on by the one server that holds its data folder. Start without DATABASE_URL to work on files.",
    );
  // where nothing was ever kept, making the folder first would only let the person wait
  if (elsewhere === undefined && !isMade(data)) await refuseUnusable(given, async () => false, say);
  // both take a while, the one here, the other in its thread
  const [database, { createApp }] = await Promise.all([comeTo(options, begun), import("./app.js")]);
  // after the folder was looked at: who named a wrong one does not wait for it
  await readyPage(say);
  const log = pino({ level: process.env.LOG_LEVEL ?? "warn" }, pino.destination(2));
  const store = new FrameStore(database);
  await database.alone(async () => {
    await upgradeFrames(database, say);
    await refuseUnusable(given, (path) => store.isKept(path), say);
    await seedDemos(store, say);
  });
  await store.hearOthers((error) => log.error(error));
  ends.push(() => store.closeFiles());
  const opened = await openFiles(store, given, say);

  const keys = await keysAsked({ host, data, proxies });
  const app = createApp({
    store,
    hosts: [host],
    page,
    keys,
    proxies,
    keepsAll,
    database,
    log: (error) => log.error(error),
  });
  const port = await listen(app, options, begun);
  const url = urlOf(host === "0.0.0.0" || host === "::" ? "localhost" : host, port);
  if (elsewhere === undefined) ends.push(await tellServed(data, { url, key: keys?.whole ?? null }));

  const keep = async () => {
    if (!keepsAll) {
      const { revisions, frames } = await thin(database);
      if (revisions + frames > 0)
        say(
          `${revisions} old revisions were thinned, and ${frames} frames emptied that were deleted ${deletedFor} days ago.`,
        );
    }
    if (!store.dirty) return;
    store.dirty = false;
    await database.tidy();
  };
  const keeping = setInterval(() => void keep().catch((error: unknown) => log.error(error)), keepEvery);
  keeping.unref();
  ends.push(() => clearInterval(keeping));

  for (const signal of ["SIGTERM", "SIGINT"] as const) process.once(signal, () => begun.leave(0));
  say(`Handy Frame is at ${url}`);
  if (keys) openTo(host, port, keys).forEach(say);
  for (const { path, id } of opened) say(`${path} is worked on at ${url}f/${id}/plan`);
  return url;
};
