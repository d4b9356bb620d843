import { sure } from "../../core/frame/sure.js";
import { parentPort, workerData } from "node:worker_threads";
import { codeOf, messageOf } from "../errors.js";
import type { FromThread, ToThread } from "./messages.js";
import { newPglite, type PgliteOptions } from "./pglite.js";

// The thread of a database: what it does keeps nobody else waiting, and where it never comes back it can be ended.
const port = sure(parentPort, "the thread that began this one");
const say = (message: FromThread) => port.postMessage(message);

const errorOf = (error: unknown) => {
  const code = codeOf(error);
  return { message: messageOf(error), ...(code !== undefined && { code }) };
};

const options: PgliteOptions = workerData;
try {
  const engine = await newPglite(options);
  port.on("message", (message: ToThread) => {
    const { id } = message;
    const done = "end" in message ? engine.end().then(() => []) : engine.run(message);
    done.then(
      (rows) => say({ id, rows }),
      (error: unknown) => say({ id, error: errorOf(error) }),
    );
  });
  say({ opened: true });
} catch (error) {
  say({ failed: messageOf(error) });
}
