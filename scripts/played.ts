import { firstOf } from "../core/index.js";
// Plays the runs of demo/played anew and writes what could be seen into them: `npm run played`.
import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { played } from "../core/testing/played.js";
import { readFrame } from "../shape/read.js";

const demo = join(import.meta.dirname, "..", "demo");

for (const file of readdirSync(join(demo, "played"))) {
  const read = readFrame(readFileSync(join(demo, `${firstOf(file.split("."))}.frame.json`), "utf8"));
  if (!read.ok) throw new Error(`the demo of ${file} has faults`);
  const path = join(demo, "played", file);
  writeFileSync(path, played(read.frame, readFileSync(path, "utf8")));
}
