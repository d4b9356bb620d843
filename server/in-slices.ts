import { setImmediate } from "node:timers/promises";
import type { Steps } from "../core/index.js";

/** Nobody waits longer for work in steps, ms, than for this and one step. */
const slice = 25;

/** Lets others in whenever work has gone on for a while. */
export class Breath {
  private since = performance.now();

  async take(): Promise<void> {
    if (performance.now() - this.since < slice) return;
    await setImmediate();
    this.since = performance.now();
  }
}

/** Does work in steps, with others let in between. */
export const inSlices = async <T>(steps: Steps<T>): Promise<T> => {
  const breath = new Breath();
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
    await breath.take();
  }
};
