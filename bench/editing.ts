import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { Browser, Page } from "puppeteer-core";
import {
  applySoundly,
  createFinder,
  find,
  findablesOf,
  type Frame,
  pasteLines,
  plainFrame,
  readOutline,
  writeFrame,
  sure,
} from "../core/index.js";
import { openBrowser } from "../scripts/browser.js";
import type { FrameStore } from "../server/frames/store.js";
import { largeFrame } from "./frames.js";
import { type Figure, quantile, timeOf } from "./measure.js";
import { untilPainted } from "./painted.js";
import { served } from "./serving.js";

const blank = (name: string): Frame => ({
  format: "handy-frame/2",
  name,
  root: "app",
  nodes: { app: { kind: "stack", children: ["home"] }, home: { kind: "screen", title: "Home" } },
});

/** A list of so many lines: ten tabs with screens in them. */
const listOf = (lines: number): string => {
  const rows = ["Main ="];
  for (let i = 1; i < lines; i += 1) rows.push(i % 100 === 1 ? `  Area ${i}` : `    Screen ${i} /screens/${i}`);
  return `${rows.join("\n")}\n`;
};

const coreFigures = (): Figure[] => {
  const frame = plainFrame(largeFrame(1000));
  const words = ["s", "sc", "scr", "screen 9", "far", "/screens/77", "s9", "tab 3", "xyz"];
  const finder = createFinder(findablesOf(frame));
  const each = words.map((word) => timeOf(() => find(finder, word), { rounds: 5 }));
  const text = listOf(1000);
  const app = blank("List");
  const paste = timeOf(
    () => {
      const read = readOutline(text);
      if (!read.ok) throw new Error("the list is wrong");
      const pasted = pasteLines(app, read.lines, { parent: "app", after: "home" });
      if (!pasted.ok || !applySoundly(app, pasted.edit).ok) throw new Error("the list makes nothing");
    },
    { rounds: 5 },
  );
  return [
    {
      name: `find among ${finder.prepared.length} names of 1,000 screens, the slowest key`,
      value: Math.max(...each),
      unit: "ms",
      goal: "under 10",
      met: Math.max(...each) < 10,
    },
    { name: "a list of 1,000 lines read, built and checked", value: paste, unit: "ms" },
  ];
};

const pageOn = async (browser: Browser, url: string, path: string): Promise<Page> => {
  const page = await browser.newPage();
  await page.setViewport({ width: 1280, height: 800 });
  await page.goto(new URL(path, url).href);
  await page.waitForSelector('[role="treeitem"]');
  // what is loaded ahead is there
  await new Promise((resolve) => setTimeout(resolve, 6000));
  return page;
};

/** From a key in the find box to the list painted, on 1,000 screens. */
const keyToFound = async (browser: Browser, url: string): Promise<number[]> => {
  const page = await pageOn(browser, url, "/f/large-1000/plan");
  await page.focus('input[aria-label="Find"]');
  await page.waitForSelector('[aria-label="Found"]');
  const took = await page.evaluate(async () => {
    const input = document.querySelector<HTMLInputElement>('input[aria-label="Find"]');
    const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value")?.set;
    if (!input || !set) throw new Error("there is nothing to type into");
    const found = () => document.querySelector('[aria-label="Found"]')?.textContent;
    const times: number[] = [];
    for (const text of ["9", "98", "far", "tab", "tab 3", "", "t", "s1", "s12", "s123", "x", "7", "77", "d", "fo"]) {
      const before = found();
      const began = performance.now();
      set.call(input, text);
      input.dispatchEvent(new Event("input", { bubbles: true }));
      while (found() === before && performance.now() - began < 2000)
        await new Promise<void>((resolve) => setTimeout(resolve));
      times.push(performance.now() - began);
      await new Promise((resolve) => setTimeout(resolve, 80));
    }
    return times;
  });
  await page.close();
  return took;
};

/** A list pasted into a blank frame: to what it would make being shown, and from there, once asked, to the plan drawn. */
const pasteToDrawn = async (
  browser: Browser,
  url: string,
  store: FrameStore,
  lines: number,
): Promise<{ shown: number; drawn: number }> => {
  const { id } = await store.create(blank(`List ${lines}`));
  const page = await pageOn(browser, url, `/f/${id}/plan?at=app`);
  const text = listOf(lines);
  const shown = await page.evaluate(async (text) => {
    const data = new DataTransfer();
    data.setData("text/plain", text);
    const paste = new ClipboardEvent("paste", { clipboardData: data, bubbles: true, cancelable: true });
    const began = performance.now();
    document.body.dispatchEvent(paste);
    while (!document.body.textContent?.includes("makes ") && performance.now() - began < 10_000)
      await new Promise<void>((resolve) => {
        const channel = new MessageChannel();
        channel.port1.onmessage = () => resolve();
        channel.port2.postMessage(0);
      });
    await new Promise<void>((resolve) => requestAnimationFrame(() => setTimeout(resolve)));
    return performance.now() - began;
  }, text);
  await new Promise((resolve) => setTimeout(resolve, 500));
  const made = {
    on: "textarea",
    key: "Enter",
    held: "ctrlKey",
    what: '[data-node="screen2"]',
    by: "data-node",
  } as const;
  const drawn = await page.evaluate(untilPainted, made);
  await page.close();
  return { shown, drawn };
};

/** The heap of a window on 1,000 screens before and after so many edits, each undone, MB. */
const heapAfterEdits = async (browser: Browser, url: string, times: number): Promise<[number, number]> => {
  const page = await pageOn(browser, url, "/f/large-1000/plan?at=tab1&in=home");
  const session = await page.createCDPSession();
  const heap = async (): Promise<number> => {
    for (let i = 0; i < 3; i += 1) await session.send("HeapProfiler.collectGarbage");
    const { usedSize } = await session.send("Runtime.getHeapUsage");
    return usedSize / 1e6;
  };
  const edits = (count: number) =>
    page.evaluate(async (count) => {
      const press = (init: KeyboardEventInit, target: EventTarget) =>
        target.dispatchEvent(new KeyboardEvent("keydown", { bubbles: true, cancelable: true, ...init }));
      const pause = () => new Promise<void>((resolve) => requestAnimationFrame(() => setTimeout(resolve)));
      for (let i = 0; i < count; i += 1) {
        const chosen = document.querySelector<HTMLElement>('[role="treeitem"][aria-selected="true"]');
        if (!chosen) throw new Error("nothing is chosen");
        press({ key: "ArrowDown", altKey: true }, chosen);
        await pause();
        press({ key: "z", ctrlKey: true }, document.body);
        await pause();
      }
    }, count);
  // until the page has compiled what it runs and filled what it keeps a bounded number of
  await edits(300);
  await page.waitForSelector('[data-sync="saved"]');
  const before = await heap();
  await edits(times);
  await page.waitForSelector('[data-sync="saved"]', { timeout: 60_000 });
  await new Promise((resolve) => setTimeout(resolve, 1500));
  const after = await heap();
  await page.close();
  return [before, after];
};

/** From a change in a frame's own file to the revision that takes it in, ms. */
const fileToRevision = async (store: FrameStore): Promise<number[]> => {
  const path = join(mkdtempSync(join(tmpdir(), "handy-frame-bench-file-")), "app.frame.json");
  const frame = plainFrame({ ...largeFrame(200), name: "File" });
  writeFileSync(path, writeFrame(frame));
  const id = sure(await store.keepIn(path, frame));
  const took: number[] = [];
  for (let i = 0; i < 9; i += 1) {
    writeFileSync(path, readFileSync(path, "utf8").replace(/"title": "Screen 0[^"]*"/, `"title": "Screen 0 ${i}"`));
    const began = performance.now();
    const { revision } = await store.read(id);
    while ((await store.read(id)).revision === revision) await new Promise((resolve) => setTimeout(resolve, 5));
    took.push(performance.now() - began);
  }
  await store.closeFiles();
  return took;
};

const measured = async (url: string, store: FrameStore): Promise<Figure[]> => {
  await store.create(largeFrame(1000));
  const browser = await openBrowser();
  const found = await keyToFound(browser, url);
  const pastes = [];
  for (let i = 0; i < 5; i += 1) pastes.push(await pasteToDrawn(browser, url, store, 1000));
  const small = await pasteToDrawn(browser, url, store, 20);
  const times = 1000;
  const [before, after] = await heapAfterEdits(browser, url, times);
  await browser.close();
  const files = await fileToRevision(store);
  const drawn = Math.min(...pastes.map((each) => each.drawn));
  return [
    { name: "key in the find box to what was found, 1,000 screens, p50", value: quantile(found, 0.5), unit: "ms" },
    { name: "the same, p95", value: quantile(found, 0.95), unit: "ms" },
    {
      name: "20 lines pasted to 20 screens drawn, both steps",
      value: small.shown + small.drawn,
      unit: "ms",
      goal: "under 1000",
      met: small.shown + small.drawn < 1000,
    },
    {
      name: "1,000 lines pasted to what they make being shown, best of 5",
      value: Math.min(...pastes.map((each) => each.shown)),
      unit: "ms",
    },
    {
      name: "1,000 lines made, to the plan drawn, best of 5",
      value: drawn,
      unit: "ms",
      goal: "under 100",
      met: drawn < 100,
    },
    {
      name: `heap of a window on 1,000 screens after ${times} edits and undos`,
      value: after,
      unit: "MB",
      against: { name: "before them", value: before, ratio: after / before },
      goal: "no growth (under 1.1 ×)",
      met: after / before < 1.1,
    },
    {
      name: "change in the file to the revision that takes it in, most of 9",
      value: Math.max(...files),
      unit: "ms",
      goal: "under 1000",
      met: Math.max(...files) < 1000,
    },
  ];
};

/** How fast one edits: finding, lists, memory, the file outside. */
export const editingFigures = async (): Promise<Figure[]> => [...coreFigures(), ...(await served(measured))];
