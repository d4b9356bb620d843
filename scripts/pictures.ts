import { lastOf, sure } from "../core/index.js";
// Takes the pictures of docs/screenshots anew: each main view, from the demo, at 1280 by 800.
import { mkdirSync, mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { largeFrame } from "../bench/frames.js";
import { serve } from "../server/serve.js";
import type { KeyInput } from "puppeteer-core";
import { openBrowser } from "./browser.js";

const root = join(import.meta.dirname, "..");
const folder = join(root, "docs", "screenshots");
mkdirSync(folder, { recursive: true });

const { url, stop } = await serve({
  files: [],
  port: 0,
  host: "127.0.0.1",
  data: mkdtempSync(join(tmpdir(), "handy-frame-pictures-")),
  sync: "never",
  proxies: [],
  keepsAll: true,
  say: () => undefined,
});
const browser = await openBrowser();

/** What is done before a picture is taken: a press on what CSS names, also where that may be gone by then; keys, or a text. */
type Act = string | { mayBe: string } | { keys: readonly KeyInput[] } | { type: string };

const take = async (name: `${string}.png`, path: string, theme: "light" | "dark", acts: readonly Act[] = []) => {
  const page = await browser.newPage();
  await page.evaluateOnNewDocument((theme) => localStorage.setItem("handy-frame:theme", theme), theme);
  await page.goto(new URL(path, url).href, { waitUntil: "networkidle2", timeout: 8000 }).catch(() => undefined);
  for (const act of acts) {
    if (typeof act === "string") await sure(await page.waitForSelector(act)).click();
    else if ("mayBe" in act) await (await page.$(act.mayBe))?.click();
    else if ("type" in act) await page.keyboard.type(act.type);
    else {
      const held = act.keys.slice(0, -1);
      for (const key of held) await page.keyboard.down(key);
      await page.keyboard.press(lastOf(act.keys));
      for (const key of held) await page.keyboard.up(key);
    }
    await new Promise((resolve) => setTimeout(resolve, 300));
  }
  await page.mouse.move(5, 790);
  await new Promise((resolve) => setTimeout(resolve, 700));
  await page.screenshot({ path: `${folder}/${name}` });
  await page.close();
};

/** Past the splash, where that has not gone on by itself. */
const goOn: Act = { mayBe: "[data-device] [role=timer] ~ button + button" };
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
await take("links.png", "/f/allotment-diary/links?link=https%3A%2F%2Fdiary.example%2Fplots%2F3%2Fbeds%2F2", "light");
await take("bring-in.png", "/f/night-sky-log/links?link=%2Fevenings%2Fjoin&with=session.guest", "dark", [
  "section[aria-label=Addresses] button",
  "textarea[aria-label=Addresses]",
  { type: "address,title\n/meteors,Meteors\n/meteors/12\n/meteors/13\n/nights/4\n/clubs/orion/rules" },
]);
await take("door.png", "/f/allotment-diary/plan?at=welcome&in=app", "light", [
  goOn,
  "[aria-label=Facts] [role=switch]",
  "[data-device] [data-action=toSignIn]",
]);
const plots = '[data-node="plots"][data-parent="plotsTab"]';
await take("list.png", "/f/allotment-diary/plan?at=plots&in=plotsTab", "light", [
  plots,
  { keys: ["l"] },
  { type: "Seeds /seeds\nSeed {seed} /seeds/:seed" },
  { keys: ["Tab"] },
  { type: "\nSow ^" },
  { keys: ["Tab"] },
  { type: "\nSwap shelf" },
  { keys: ["Shift", "Tab"] },
  { type: "\nHarvest /harvest" },
  { keys: ["Shift", "Tab"] },
  { type: "\nCrop {crop} /harvest/:crop" },
  { keys: ["Tab"] },
]);
await take("change.png", "/f/allotment-diary/plan?at=plot&in=plotsTab", "light", [
  '[data-node="plot"]',
  { keys: ["w"] },
  { keys: ["ArrowDown"] },
]);
await take("checks.png", "/f/allotment-diary/checks", "light", [
  '[data-walk="done"]',
  '[data-finding="draft-lost"] button',
  '[data-finding="draft-lost"] [data-tried]',
]);
await take("routes.png", "/f/allotment-diary/plan?at=details&in=meTab", "light", [
  '[data-node="offer"]',
  { keys: ["r"] },
]);
await take("motion.png", "/f/allotment-diary/motion?on=swipe&move=plotsTab.plot", "light", [
  "[aria-label='Still at 97 ms']",
]);
await take("sizes.png", "/f/night-sky-log/sizes", "light", ["[data-sized] [data-row='3']", "[data-cell='0 1']"]);
await take("state.png", "/f/allotment-diary/state", "light", [
  goOn,
  "[data-device] [data-tab='swapsTab']",
  "[data-device] [data-row='4']",
  "[data-device] [data-screen='offer'] input",
  { type: "Two trays of leeks" },
  "[data-device] [data-tab='plotsTab']",
  "[data-device] [data-row='3']",
  "[data-device] [data-row='2']",
  "[data-device] [data-screen='bed'] input",
  { type: "Runner beans" },
  "[data-happening='sameTab'] [data-piece='draft'] button",
]);
await take("asks.png", "/f/allotment-diary/plan?at=edit&in=meTab", "dark", [
  goOn,
  "[data-device] [data-tab='meTab']",
  "[data-device] [data-action='change']",
  "[data-device] [data-screen='edit'] input",
  { type: "Ada" },
  "[data-device] [data-back]",
]);
await fetch(new URL("/api/frames", url), {
  method: "POST",
  headers: { "content-type": "application/json" },
  body: JSON.stringify({ frame: largeFrame(1000) }),
});
await take("large.png", "/f/large-1000/plan?at=screen3&in=tab0", "light");
await browser.close();
await stop();
process.exit(0);
