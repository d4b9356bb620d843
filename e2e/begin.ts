import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { openBrowser } from "../scripts/browser.js";
import { Served } from "./served.js";

/** A page of a test lives for seconds: what it costs to optimise its code is never earned back, and code that was read once is read from the cache. */
const shortLived = ["--js-flags=--no-opt,--no-maglev", "--blink-settings=v8CacheOptions=4"];

/** Begins what all browser tests have in common: one browser, a data folder to begin with, and a server for those that leave it as it is. Answers what ends it. */
export const begin = async (): Promise<() => Promise<void>> => {
  const prepared = mkdtempSync(join(tmpdir(), "handy-frame-prepared-"));
  const first = new Served([], prepared);
  const [browser] = await Promise.all([openBrowser(shortLived), first.start()]);
  await first.end();
  process.env.HANDY_FRAME_PREPARED = prepared;
  process.env.HANDY_FRAME_BROWSER = browser.wsEndpoint();
  const served = new Served();
  await served.start();
  process.env.HANDY_FRAME_SERVED = served.url;
  return async () => {
    await browser.close();
    await served.end();
  };
};
