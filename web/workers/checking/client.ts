import type { FromChecking, ToChecking } from "./messages.js";

/** The worker that checks frames, and what it answers. */
export interface CheckingClient {
  send: (message: ToChecking) => void;
  close: () => void;
}

/** Starts the worker. `failed` is told once where it cannot be loaded. */
export const startChecking = (answered: (message: FromChecking) => void, failed: () => void): CheckingClient => {
  const worker = new Worker(new URL("./worker.ts", import.meta.url), { type: "module" });
  worker.addEventListener("message", ({ data }: MessageEvent<FromChecking>) => answered(data));
  worker.addEventListener("error", failed);
  return { send: (message) => worker.postMessage(message), close: () => worker.terminate() };
};
