import { readFileSync } from "node:fs";
import { join } from "node:path";
import { gzipSync } from "node:zlib";
import type { Browser } from "puppeteer-core";
import { openBrowser } from "../scripts/browser.js";
import type { FrameStore } from "../server/frames/store.js";
import { largeFrame } from "./frames.js";
import { type Figure, quantile } from "./measure.js";
import { bestOfThree, slowest, untilPainted } from "./painted.js";
import { built, served } from "./serving.js";

/** Widths of a window in which the companion is folded, and in which it stands beside the plan, px. */
const [folded, unfolded] = [880, 1280];

type Weights = ReadonlyMap<string, number>;

/** The first visit to a plan: the files that were there when it was first drawn, and all that came in the time after that, kB of gzip. */
const visit = async (browser: Browser, width: number, url: string): Promise<{ drawn: Weights; all: Weights }> => {
  const context = await browser.createBrowserContext();
  const page = await context.newPage();
  await page.setViewport({ width, height: 800 });
  await page.evaluateOnNewDocument(() => {
    const watch = new MutationObserver(() => {
      if (!document.querySelector("[data-node]")) return;
      watch.disconnect();
      const files = performance
        .getEntriesByType("resource")
        .filter((entry) => entry instanceof PerformanceResourceTiming && entry.responseEnd > 0)
        .map(({ name }) => name);
      Object.assign(globalThis, { filesAtFirst: files });
    });
    watch.observe(document, { childList: true, subtree: true });
  });
  await page.goto(url);
  await page.waitForSelector(width === folded ? "[data-node] svg" : "[data-device] [data-tab]");
  await new Promise((resolve) => setTimeout(resolve, 1500));
  const { drawn, all }: { drawn: string[]; all: string[] } = await page.evaluate(() => ({
    drawn: Reflect.get(globalThis, "filesAtFirst"),
    all: performance.getEntriesByType("resource").map(({ name }) => name),
  }));
  await context.close();
  const weigh = (names: readonly string[]): Weights => {
    const files = names.map((name) => new URL(name).pathname).filter((file) => /^\/assets\/.*\.(js|css)$/.test(file));
    return new Map(files.map((file) => [file, gzipSync(readFileSync(join(built, file))).length / 1000]));
  };
  return { drawn: weigh(drawn), all: weigh(all) };
};

/** What a first visit to the plan loads, as the browser asks for it: alone, with the companion beside it, and with the bench open. */
const weights = async (url: string): Promise<Figure[]> => {
  const browser = await openBrowser();
  const plan = new URL("/f/allotment-diary/plan", url).href;
  const alone = await visit(browser, folded, plan);
  const beside = await visit(browser, unfolded, plan);
  const chosen = await visit(browser, unfolded, `${plan}?at=plot&in=plotsTab`);
  await browser.close();
  const script = (files: Weights): number =>
    [...files].reduce((sum, [file, size]) => (file.endsWith(".js") ? sum + size : sum), 0);
  return [
    ...[...chosen.all].map(([file, value]) => ({
      name: `${file.replace("/assets/", "").replace(/-[\w-]{8}\./, ".")}, gzip`,
      value,
      unit: "kB",
    })),
    {
      name: "first load of the plan, all scripts that it waits for, gzip",
      value: script(alone.drawn),
      unit: "kB",
      goal: "under 200",
      met: script(alone.drawn) < 200,
    },
    { name: "with what comes in the 1.5 s after that, the companion folded", value: script(alone.all), unit: "kB" },
    { name: "with the companion beside it", value: script(beside.all), unit: "kB" },
    { name: "with something chosen too, so with the bench", value: script(chosen.all), unit: "kB" },
  ];
};

/** From a key in the plan to the companion painted again, as the browser has it. */
const keyToPaint = async (url: string, path: string, times: number): Promise<number[]> => {
  const browser = await openBrowser();
  const page = await browser.newPage();
  await page.goto(new URL(path, url).href);
  await page.waitForSelector('[role="treeitem"][aria-selected="true"]');
  await page.waitForSelector("[data-device] [data-tab]");
  await new Promise((resolve) => setTimeout(resolve, 1000));
  const took: number[] = [];
  // Alt and an arrow moves the chosen tab by one place: the companion's bar shows it in another place
  const moved = {
    on: '[role="treeitem"][aria-selected="true"]',
    held: "altKey",
    what: "[data-device] [data-tab]",
  } as const;
  for (let i = 0; i < times; i += 1) {
    const key = i % 2 ? "ArrowUp" : "ArrowDown";
    took.push(await page.evaluate(untilPainted, { ...moved, by: "data-tab", key }));
    await new Promise((resolve) => setTimeout(resolve, 150));
  }
  await browser.close();
  return took.slice(2);
};

/** The longest task while a plan of 1,000 screens is scrolled through and zoomed out and in again, ms; tasks under 50 are not told by the browser. */
const longestTask = async (url: string): Promise<number> => {
  const browser = await openBrowser();
  const page = await browser.newPage();
  await page.goto(new URL("/f/large-1000/plan", url).href);
  await page.waitForSelector('[role="treeitem"]');
  await new Promise((resolve) => setTimeout(resolve, 2500));
  await page.evaluate(() => {
    const tasks: number[] = [];
    Object.assign(window, { longTasks: tasks });
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) tasks.push(entry.duration);
    }).observe({ type: "longtask" });
  });
  await page.mouse.move(500, 350);
  for (let i = 0; i < 45; i += 1) await page.mouse.wheel({ deltaX: 160, deltaY: i % 3 ? 60 : -40 });
  await page.keyboard.down("Control");
  for (let i = 0; i < 30; i += 1) await page.mouse.wheel({ deltaY: 70 });
  for (let i = 0; i < 30; i += 1) await page.mouse.wheel({ deltaY: -70 });
  await page.keyboard.up("Control");
  for (let i = 0; i < 45; i += 1) await page.mouse.wheel({ deltaX: -160, deltaY: 50 });
  await new Promise((resolve) => setTimeout(resolve, 300));
  const tasks: number[] = await page.evaluate(() => Reflect.get(window, "longTasks"));
  await browser.close();
  return Math.max(0, ...tasks);
};

/** From a pointer that moves over another plate to the consequence in the page, for a drag over a plan of 1,000 screens, ms. */
const dragToSaid = async (url: string): Promise<number[]> => {
  const browser = await openBrowser();
  const page = await browser.newPage();
  await page.setViewport({ width: 1280, height: 800 });
  await page.goto(new URL("/f/large-1000/plan", url).href);
  await page.waitForSelector('[data-node="screen3"]');
  await new Promise((resolve) => setTimeout(resolve, 1500));
  const took = await page.evaluate(async () => {
    const at = (type: string, x: number, y: number, target: EventTarget) =>
      target.dispatchEvent(
        new PointerEvent(type, { clientX: x, clientY: y, bubbles: true, cancelable: true, button: 0, buttons: 1 }),
      );
    const card = document.querySelector('[data-node="screen3"]');
    if (!card) throw new Error("the card is not drawn");
    const box = card.getBoundingClientRect();
    at("pointerdown", box.x + 20, box.y + 10, card);
    at("pointermove", box.x + 40, box.y + 20, window);
    const times: number[] = [];
    for (let i = 0; i < 60; i += 1) {
      const said = () => document.querySelector('[role="status"] p')?.parentElement?.getAttribute("style");
      const before = said();
      const began = performance.now();
      at("pointermove", 60 + ((i * 137) % 800), 190 + ((i * 53) % 300), window);
      while (said() === before && performance.now() - began < 2000)
        await new Promise<void>((resolve) => {
          const channel = new MessageChannel();
          channel.port1.onmessage = () => resolve();
          channel.port2.postMessage(0);
        });
      times.push(performance.now() - began);
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
    window.dispatchEvent(new KeyboardEvent("keydown", { key: "Escape" }));
    return times;
  });
  await browser.close();
  return took.slice(2);
};

/** What the page weighs, and how soon it answers a key. */
export const pageFigures = (): Promise<Figure[]> => served(measured);

const measured = async (url: string, store: FrameStore): Promise<Figure[]> => {
  await store.create(largeFrame(1000));
  const weighed = await weights(url);
  const demo = await bestOfThree(() => keyToPaint(url, "/f/allotment-diary/plan?at=tasksTab&in=home", 32), slowest);
  const large = await bestOfThree(() => keyToPaint(url, "/f/large-1000/plan?at=tab1&in=home", 22), slowest);
  const longest = await bestOfThree(
    () => longestTask(url),
    (task) => task,
  );
  const said = await bestOfThree(() => dragToSaid(url), slowest);
  const figure = (name: string, times: number[], most: number, mostAtTimes: number): Figure[] => [
    {
      name: `key in the plan to companion painted, ${name}, p50`,
      value: quantile(times, 0.5),
      unit: "ms",
      goal: `under ${most}`,
      met: quantile(times, 0.5) < most,
    },
    {
      name: `the same, ${name}, p95`,
      value: quantile(times, 0.95),
      unit: "ms",
      goal: `under ${mostAtTimes}`,
      met: slowest(times) < mostAtTimes,
    },
  ];
  return [
    ...weighed,
    ...figure("demo", demo, 40, 64),
    ...figure("1,000 screens", large, 60, 90),
    {
      name: "longest task while 1,000 screens are panned and zoomed (0: none over 50)",
      value: longest,
      unit: "ms",
      goal: "none over 50",
      met: longest <= 50,
    },
    { name: "drag over 1,000 screens to its consequence, p50", value: quantile(said, 0.5), unit: "ms" },
    {
      name: "the same, p95",
      value: quantile(said, 0.95),
      unit: "ms",
      goal: "under 16",
      met: quantile(said, 0.95) < 16,
    },
  ];
};
