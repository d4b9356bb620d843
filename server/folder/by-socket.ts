import { connect, createServer, type Server } from "node:net";
import { Busy } from "./busy.js";
import { type Holder, holderSays } from "./holder.js";

const askHolder = (path: string): Promise<string> =>
  new Promise((resolve) => {
    let said = "";
    const socket = connect({ path }, () => socket.setTimeout(1000));
    socket.on("data", (chunk) => (said += chunk.toString()));
    socket.on("timeout", () => socket.destroy());
    socket.on("error", () => resolve("another process"));
    socket.on("close", () => resolve(said || "another process"));
  });

/**
 * A socket without a file (Linux, unix(7), abstract), named after what the folder is and not how one comes there: the
 * system gives it to one process, and takes it back the moment that ends, however it ends. Other containers do not see it.
 */
export const holdBySocket = async (folder: string, identity: string, own: Holder): Promise<() => Promise<void>> => {
  const path = `\0handy-frame-${identity}`;
  const server: Server = createServer((socket) => {
    socket.on("error", () => undefined);
    socket.end(holderSays(own));
  });
  const taken = await new Promise<boolean>((resolve, reject) => {
    server.once("error", (error: NodeJS.ErrnoException) =>
      error.code === "EADDRINUSE" ? resolve(true) : reject(error),
    );
    server.listen({ path }, () => resolve(false));
  });
  if (taken) throw new Busy(folder, await askHolder(path));
  server.unref();
  return () => new Promise((resolve) => server.close(() => resolve()));
};
