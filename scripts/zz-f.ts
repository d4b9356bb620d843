import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { serve } from "../server/serve.js";
import { openBrowser } from "./browser.js";
import { badlyDrawn } from "../e2e/fits.js";
const [, , w, h, theme = "light"] = process.argv;
const { url, stop } = await serve({ files: [], port: 0, host: "127.0.0.1", data: mkdtempSync(join(tmpdir(), "hf-hand-")), say: () => undefined });
const browser = await openBrowser();
const page = await browser.newPage();
await page.evaluateOnNewDocument("window.__name = (f) => f");
await page.setViewport({ width: Number(w), height: Number(h) });
await page.evaluateOnNewDocument((t) => { localStorage.setItem("handy-frame:theme", t); localStorage.setItem("handy-frame:pace", JSON.stringify({ form: 3, value: 0 })); }, theme);
const nodes: [string, string, string | null][] = [
  ["allotment-diary", "app", null], ["allotment-diary", "home", "app"], ["allotment-diary", "plot", "plotsTab"], ["allotment-diary", "water", "plotsTab"], ["allotment-diary", "welcome", "app"], ["allotment-diary", "swapsTab", "home"],
  ["night-sky-log", "nights", "club"], ["night-sky-log", "nightList", "nights"], ["repair-cafe", "house", "app"], ["repair-cafe", "things", "house"],
];
const all = new Map<string, string[]>();
const groupsAt = () => page.$$eval("[data-group]", (x) => x.map((e) => (e as HTMLElement).dataset.group!));
const look = async (where: string) => { for (const bad of await badlyDrawn(page, 'main')) all.set(bad, [...(all.get(bad) ?? []), where]); };
for (const [frame, id, parent] of nodes) {
  await page.goto(new URL(`/f/${frame}/plan?at=${id}${parent ? `&in=${parent}` : ""}`, url).href);
  const ok = await page.waitForSelector(`[data-node="${id}"][aria-selected="true"]`, { timeout: 5000 }).catch(() => null);
  if (!ok) { console.log("NO", id); continue; }
  await page.waitForSelector("[data-group]");
  for (const g of await groupsAt()) { if (await page.$(`[data-group="${g}"][aria-expanded="false"]`)) await page.click(`[data-group="${g}"]`); await look(`${id} ${g}`); }
}
for (const panel of ["theme", "devices"]) {
  await page.goto(new URL(`/f/allotment-diary/plan?panel=${panel}`, url).href);
  await page.waitForSelector("[data-group]");
  for (const g of await groupsAt()) { if (await page.$(`[data-group="${g}"][aria-expanded="false"]`)) await page.click(`[data-group="${g}"]`); await look(`${panel} ${g}`); }
}
for (const [bad, where] of all) console.log(`${bad}   @ ${where.slice(0, 3).join(", ")} (${where.length})`);
await browser.close(); await stop(); process.exit(0);
