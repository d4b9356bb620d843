import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { serve } from "../server/serve.js";
import { openBrowser } from "./browser.js";
const { url, stop } = await serve({ files: [], port: 0, host: "127.0.0.1", data: mkdtempSync(join(tmpdir(), "hf-hand-")), say: () => undefined });
const browser = await openBrowser(); const page = await browser.newPage();
page.on("pageerror", (e) => console.log("PAGEERROR", String(e).slice(0, 600)));
page.on("console", (m) => m.type() === "error" && console.log("CONSOLE", m.text().slice(0, 600)));
await page.setViewport({ width: Number(process.argv[4] ?? 1280), height: 800 });
const wait = (ms = 250) => new Promise((r) => setTimeout(r, ms));
if (process.argv[5]) await page.evaluateOnNewDocument(() => localStorage.setItem("handy-frame:theme", "dark"));
await page.goto(new URL(process.argv[2]!, url).href); await wait(2500);
for (const css of (process.argv[6] ?? "").split("||").filter(Boolean)) { await (await page.waitForSelector(css, { timeout: 4000 }))!.click(); await wait(500); }
await page.screenshot({ path: process.argv[3] as `${string}.png` });
await browser.close(); await stop(); process.exit(0);
