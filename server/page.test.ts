import { existsSync, mkdtempSync, readdirSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { readyPage } from "./page.js";

test("a page that was not built is built at the start, whole, and once", async () => {
  const folder = mkdtempSync(join(tmpdir(), "handy-frame-page-"));
  const place = join(folder, "web");
  const said: string[] = [];
  await readyPage((line) => said.push(line), place);
  expect(existsSync(join(place, "index.html"))).toBe(true);
  expect(readdirSync(folder)).toEqual(["web"]);
  await readyPage((line) => said.push(line), place);
  expect(said).toEqual(["Building the page, some seconds, this once …"]);
}, 60_000);
