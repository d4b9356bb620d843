import { served } from "../bench/serving.js";
import { openBrowser } from "./browser.js";
await served(async (url) => {
  const browser = await openBrowser(); const page = await browser.newPage();
  await page.setViewport({ width: 1280, height: 800 });
  await page.goto(new URL("/f/allotment-diary/plan?at=tasksTab&in=home", url).href);
  await page.waitForSelector("[data-device] [data-tab]"); await new Promise((r) => setTimeout(r, 2500));
  const cdp = await page.createCDPSession(); await cdp.send("Profiler.enable"); await cdp.send("Profiler.setSamplingInterval", { interval: 200 });
  const a = await page.metrics();
  await cdp.send("Profiler.start");
  await page.evaluate(`(async () => { for (let i = 0; i < 30; i++) { const c = document.querySelector('[role="treeitem"][aria-selected="true"]'); c.focus(); c.dispatchEvent(new KeyboardEvent("keydown", { key: i % 2 ? "ArrowUp" : "ArrowDown", altKey: true, bubbles: true, cancelable: true })); await new Promise((r) => setTimeout(r, 200)); } })()`);
  const { profile } = await cdp.send("Profiler.stop");
  const b = await page.metrics();
  for (const k of ["ScriptDuration", "LayoutDuration", "RecalcStyleDuration", "TaskDuration"] as const) console.log(k, ((b[k]! - a[k]!) * 1000 / 30).toFixed(2));
  const self = new Map<number, number>(); const dt = profile.timeDeltas!; profile.samples!.forEach((id, i) => self.set(id, (self.get(id) ?? 0) + dt[i]!));
  const nodes = new Map(profile.nodes.map((n) => [n.id, n])); const parent = new Map<number, number>(); for (const n of profile.nodes) for (const c of n.children ?? []) parent.set(c, n.id);
  const total = new Map<string, number>(); const own = new Map<string, number>();
  for (const [id, t] of self) { const seen = new Set<string>(); for (let at: number | undefined = id; at !== undefined; at = parent.get(at)) { const name = nodes.get(at)!.callFrame.functionName || "(anon)"; if (!seen.has(name)) { seen.add(name); total.set(name, (total.get(name) ?? 0) + t); } } const n = nodes.get(id)!.callFrame.functionName || "(anon)"; own.set(n, (own.get(n) ?? 0) + t); }
  const show = (m: Map<string, number>, most: number) => [...m].sort((x, y) => y[1] - x[1]).slice(0, most).map(([n, t]) => `${(t / 30000).toFixed(2)} ${n}`).join("\n");
  console.log("TOTAL\n" + show(total, 75)); console.log("SELF\n" + show(own, 25));
  await browser.close();
});
process.exit(0);
