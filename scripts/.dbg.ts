import { openBrowser } from "./browser.js";
const [,, out, path, w = "1280", h = "800", theme = "light", ...acts] = process.argv;
const browser = await openBrowser();
const page = await browser.newPage();
page.on("pageerror", (e) => console.log("ERR", String(e)));
page.on("console", (m) => m.type() === "error" && console.log("LOG", m.text()));
await page.setViewport({ width: +w, height: +h });
await page.emulateMediaFeatures([{ name: "prefers-color-scheme", value: theme }]);
await page.goto(`http://127.0.0.1:4861${path}`);
await page.waitForSelector("[data-device],[data-tile],main", { timeout: 8000 });
await new Promise((r) => setTimeout(r, 900));
for (const a of acts) {
  if (a.startsWith("key:")) { const parts = a.slice(4).split("+"); const last = parts.pop()!; for (const k of parts) await page.keyboard.down(k as never); await page.keyboard.press(last as never); for (const k of parts) await page.keyboard.up(k as never); }
  else if (a.startsWith("type:")) await page.keyboard.type(a.slice(5));
  else if (a.startsWith("eval:")) console.log(JSON.stringify(await page.evaluate(a.slice(5))));
  else if (a.startsWith("wait:")) await new Promise((r) => setTimeout(r, +a.slice(5)));
  else if (a.startsWith("shot:")) await page.screenshot({ path: a.slice(5) as never });
  else { const e = await page.waitForSelector(a, { timeout: 4000 }).catch(() => null); if (!e) console.log("no", a); else await e.click().catch((x) => console.log("click", a, String(x))); }
  await new Promise((r) => setTimeout(r, 250));
}
await page.screenshot({ path: out as never });
await browser.close();
