import { readFileSync } from "node:fs";
import type { Browser } from "puppeteer-core";
export const montage = async (browser: Browser, names: string[], out: string, height = 500) => {
  const page = await browser.newPage();
  await page.setViewport({ width: 1600, height: height + 30 });
  await page.setContent(`<body style="margin:4px;display:flex;gap:6px;background:#888;flex-wrap:wrap">${names.map((n) => `<img style="height:${height}px" src="data:image/png;base64,${readFileSync(`/tmp/w/${n}.png`).toString("base64")}">`).join("")}</body>`);
  await page.screenshot({ path: `/tmp/w/${out}.png` as `${string}.png`, fullPage: true });
  await page.close();
};
