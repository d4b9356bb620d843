import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { played } from "../core/testing/played.js";
import { readFrame } from "./read.js";

const demo = join(import.meta.dirname, "..", "demo");
const runs = readdirSync(join(demo, "played"));

test.each(runs)("the run %s shows what it showed when it was kept", (file) => {
  const read = readFrame(readFileSync(join(demo, `${file.split(".")[0]!}.frame.json`), "utf8"));
  if (!read.ok) throw new Error(JSON.stringify(read.faults));
  const kept = readFileSync(join(demo, "played", file), "utf8");
  // a change that is meant is taken over by `npm run played`, and read in the difference
  expect(played(read.frame, kept)).toBe(kept);
});
test("the demos are all played", () => {
  expect(new Set(runs.map((file) => file.split(".")[0]))).toEqual(new Set(["allotment", "night-sky", "repair-cafe"]));
});
