import { firstOf } from "../core/index.js";
import { quantile } from "./measure.js";

/** A key on something, until something in the page is other than before and that is painted, ms. */
export interface Pressed {
  on: string;
  key: string;
  held: "altKey" | "ctrlKey";
  /** What is looked at: which elements there are, by an attribute. */
  what: string;
  by: string;
}

/** Run in the page. The change is seen in the moment it is made; the frame that shows it ends with the next message. */
export const untilPainted = ({ on, key, held, what, by }: Pressed): Promise<number> =>
  new Promise((resolve, reject) => {
    const seen = () => [...document.querySelectorAll(what)].map((each) => each.getAttribute(by)).join();
    const before = seen();
    const target = document.querySelector<HTMLElement>(on);
    if (!target) throw new Error(`there is no ${on}`);
    target.focus();
    const late = setTimeout(() => reject(new Error(`${what} did not change`)), 5000);
    const began = performance.now();
    const watch = new MutationObserver(() => {
      if (seen() === before) return;
      watch.disconnect();
      clearTimeout(late);
      requestAnimationFrame(() => {
        const channel = new MessageChannel();
        channel.port1.onmessage = () => resolve(performance.now() - began);
        channel.port2.postMessage(0);
      });
    });
    watch.observe(document, { childList: true, subtree: true, attributes: true });
    target.dispatchEvent(new KeyboardEvent("keydown", { key, [held]: true, bubbles: true, cancelable: true }));
  });

/**
 * The best of three runs: a shared machine stands still at times, for any task, up to a second; what is slow by itself is
 * so in each.
 */
export const bestOfThree = async <T>(run: () => Promise<T>, worth: (taken: T) => number): Promise<T> => {
  const runs = [await run(), await run(), await run()];
  return firstOf(runs.sort((a, b) => worth(a) - worth(b)));
};
/** The 95th percentile. */
export const slowest = (times: number[]): number => quantile(times, 0.95);
