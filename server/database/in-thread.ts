import { Worker } from "node:worker_threads";
import type { Engine, Statement } from "./engine.js";
import type { FromThread, ToThread } from "./messages.js";
import type { PgliteOptions } from "./pglite.js";

interface Asked {
  resolve: (rows: unknown[]) => void;
  reject: (error: Error) => void;
}

/** A database that has not begun after so long never does, ms: making one takes ten seconds, and machines are busy. */
const patience = 180_000;

/** PostgreSQL in a thread of its own, by the script of that. */
export const pgliteInThread = (script: string, options: PgliteOptions): Promise<Engine> => {
  const thread = new Worker(script, { workerData: options });
  const asked = new Map<number, Asked>();
  let last = 0;
  const ask = (message: Statement | { end: true }): Promise<unknown[]> =>
    new Promise((resolve, reject) => {
      const id = (last += 1);
      asked.set(id, { resolve, reject });
      thread.postMessage({ id, ...message } satisfies ToThread);
    });
  const engine: Engine = {
    run: ask,
    async end() {
      await ask({ end: true });
      await thread.terminate();
    },
    kill: () => void thread.terminate(),
  };
  return new Promise<Engine>((opened, failed) => {
    const late = setTimeout(() => {
      void thread.terminate();
      failed(new Error(`it has not begun for ${patience / 1000} s`));
    }, patience);
    thread.once("message", () => clearTimeout(late));
    thread.once("exit", () => clearTimeout(late));
    const gone = (error: Error) => {
      failed(error);
      for (const { reject } of asked.values()) reject(error);
      asked.clear();
    };
    thread.on("error", gone);
    thread.on("exit", () => gone(new Error("the database ended")));
    thread.on("message", (message: FromThread) => {
      if ("opened" in message) return opened(engine);
      if ("failed" in message) {
        void thread.terminate();
        return failed(new Error(message.failed));
      }
      const waiting = asked.get(message.id);
      asked.delete(message.id);
      if ("rows" in message) waiting?.resolve(message.rows);
      else waiting?.reject(Object.assign(new Error(message.error.message), message.error));
    });
  });
};
