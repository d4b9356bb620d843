import { createHash } from "node:crypto";
import { mkdir, open, readFile, realpath, rm } from "node:fs/promises";
import { connect, createServer, type Server } from "node:net";
import { join } from "node:path";

/** Another process holds the data folder. */
export class Busy extends Error {}

/** Gives the folder free again. */
export type Release = () => Promise<void>;

const busy = (folder: string, holder: string): Busy =>
  new Busy(
    `The data folder ${folder} is held by ${holder}. Stop that one, or name another folder by --data. Nothing was changed.`,
  );

const askHolder = (path: string): Promise<string> =>
  new Promise((resolve) => {
    let said = "";
    const socket = connect({ path }, () => socket.setTimeout(1000));
    socket.on("data", (chunk) => (said += chunk.toString()));
    socket.on("timeout", () => socket.destroy());
    socket.on("error", () => resolve("another process"));
    socket.on("close", () => resolve(said || "another process"));
  });

/** A socket without a file: the system gives it to one process, and takes it back the moment that ends, however it ends. */
const holdBySocket = async (folder: string): Promise<Release> => {
  const path = `\0handy-frame-${createHash("sha256").update(folder).digest("hex").slice(0, 40)}`;
  const server: Server = createServer((socket) => {
    socket.on("error", () => undefined);
    socket.end(`process ${process.pid}, started ${new Date(Date.now() - process.uptime() * 1000).toISOString()}`);
  });
  const taken = await new Promise<boolean>((resolve, reject) => {
    server.once("error", (error: NodeJS.ErrnoException) =>
      error.code === "EADDRINUSE" ? resolve(true) : reject(error),
    );
    server.listen({ path }, () => resolve(false));
  });
  if (taken) throw busy(folder, await askHolder(path));
  server.unref();
  return () => new Promise((resolve) => server.close(() => resolve()));
};

const isAlive = (pid: number): boolean => {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === "EPERM";
  }
};

/** A file with the holder's pid, for systems without such sockets; one whose holder is gone is taken over. */
export const holdByFile = async (folder: string): Promise<Release> => {
  const file = join(folder, "held-by");
  for (let tries = 0; tries < 2; tries += 1) {
    try {
      const handle = await open(file, "wx");
      await handle.writeFile(String(process.pid));
      await handle.close();
      return () => rm(file, { force: true });
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code !== "EEXIST") throw error;
      const pid = Number(await readFile(file, "utf8").catch(() => ""));
      if (pid && isAlive(pid)) throw busy(folder, `process ${pid}`);
      await rm(file, { force: true });
    }
  }
  throw busy(folder, "another process that starts just now");
};

/** Holds a data folder, made if it is not there, for this process alone: two on one would corrupt it silently. */
export const holdFolder = async (folder: string): Promise<Release> => {
  await mkdir(folder, { recursive: true });
  const real = await realpath(folder);
  return process.platform === "linux" ? holdBySocket(real) : holdByFile(real);
};
