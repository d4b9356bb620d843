import { openBrowser } from "/work/main/scripts/browser.ts";
const [, , path, out, w = "1280", h = "800", theme = "light", js = ""] = process.argv;
const b = await openBrowser({ width: +w, height: +h });
const p = await b.newPage();
p.on("console", (m) => console.log("console:", m.text()));
p.on("pageerror", (e) => console.log("ERR", (e as Error).message, (e as Error).stack?.slice(0, 400)));
await p.evaluateOnNewDocument(`localStorage.setItem("handy-frame:theme","${theme}")`);
await p
  .goto("http://127.0.0.1:4861" + path, { waitUntil: "networkidle2", timeout: 15000 })
  .catch((e) => console.log(e.message));
await new Promise((r) => setTimeout(r, 500));
if (js) {
  console.log(await p.evaluate(js));
  await new Promise((r) => setTimeout(r, 600));
}
await p.screenshot({ path: out as any });
await b.close();
