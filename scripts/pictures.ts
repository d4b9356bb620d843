// Takes the pictures of docs/screenshots anew: each main view, from the demo, at 1280 by 800.
import { mkdirSync, mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { serve } from "../server/serve.js";
import { openBrowser } from "./browser.js";

const root = join(import.meta.dirname, "..");
const folder = join(root, "docs", "screenshots");
mkdirSync(folder, { recursive: true });

const { url, stop } = await serve({
  files: [],
  port: 0,
  host: "127.0.0.1",
  data: mkdtempSync(join(tmpdir(), "handy-frame-pictures-")),
  say: () => undefined,
});
const browser = await openBrowser();

const take = async (name: `${string}.png`, path: string, theme: "light" | "dark", clicks: readonly string[] = []) => {
  const page = await browser.newPage();
  await page.evaluateOnNewDocument((theme) => localStorage.setItem("handy-frame:theme", theme), theme);
  await page.goto(new URL(path, url).href, { waitUntil: "networkidle2", timeout: 8000 }).catch(() => undefined);
  for (const selector of clicks) {
    await (await page.waitForSelector(selector))!.click();
    await new Promise((resolve) => setTimeout(resolve, 300));
  }
  await page.mouse.move(5, 790);
  await new Promise((resolve) => setTimeout(resolve, 700));
  await page.screenshot({ path: join(folder, name) as `${string}.png` });
  await page.close();
};

const rows = ["[data-device] [data-row='3']", "[data-device] [data-row='2']"];
await take("plan.png", "/f/allotment-diary/plan?at=plot&in=plotsTab", "light", rows);
await take("plan-hub-dark.png", "/f/allotment-diary/plan?at=home&in=app&view=700x840&on=swipe", "dark");
await take("plan-sheet.png", "/f/allotment-diary/plan?at=water&in=plotsTab", "light", [
  "[data-device] [data-row='3']",
  "[data-device] [data-action='log']",
]);
await take("plan-pair.png", "/f/night-sky-log/plan?at=nights&in=club&view=1100x800", "light", [
  "[data-device] [data-row='4']",
]);
await take("targets.png", "/f/repair-cafe/plan?at=house&in=app&targets=all", "light", [
  "[data-device=key] [data-menu]",
]);
await take("theme.png", "/f/night-sky-log/plan?panel=theme", "dark");
await take("shelf.png", "/", "light");
await browser.close();
await stop();
process.exit(0);
