// usage: zz-s.ts out-prefix [width] [height] [dark] path|sel1||sel2 ...   each arg → one picture
import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { serve } from "../server/serve.js";
import { openBrowser } from "./browser.js";
const [, , prefix = "", w, h, theme = "light", ...shots] = process.argv;
const { url, stop } = await serve({
  files: [],
  port: 0,
  host: "127.0.0.1",
  data: mkdtempSync(join(tmpdir(), "hf-hand-")),
  say: () => undefined,
});
const browser = await openBrowser();
for (const [i, shot] of shots.entries()) {
  const page = await browser.newPage();
  page.on("pageerror", (e) => console.log("PAGEERROR", String(e).slice(0, 600)));
  page.on("console", (m) => m.type() === "error" && console.log("CONSOLE", m.text().slice(0, 600)));
  await page.setViewport({ width: Number(w), height: Number(h) });
  await page.evaluateOnNewDocument((t) => {
    localStorage.setItem("handy-frame:theme", t);
    localStorage.removeItem("handy-frame:bench");
  }, theme);
  const [path, ...acts] = shot.split("||");
  await page.goto(new URL(path ?? "", url).href, { waitUntil: "networkidle2", timeout: 8000 }).catch(() => undefined);
  for (const act of acts) {
    if (act.startsWith("key:")) {
      const parts = act.slice(4).split("+");
      for (const k of parts.slice(0, -1)) await page.keyboard.down(k as never);
      await page.keyboard.press(parts.at(-1) as never);
      for (const k of parts.slice(0, -1)) await page.keyboard.up(k as never);
    } else if (act.startsWith("type:")) await page.keyboard.type(act.slice(5));
    else if (act.startsWith("hover:")) await page.hover(act.slice(6));
    else
      await (
        await page.waitForSelector(act, { timeout: 4000 }).catch(() => {
          console.log("NO", act);
          return null;
        })
      )?.click();
    await new Promise((r) => setTimeout(r, 350));
  }
  await new Promise((r) => setTimeout(r, 400));
  await page.screenshot({ path: `${prefix}${i}.png` as `${string}.png` });
  await page.close();
}
await browser.close();
await stop();
process.exit(0);
