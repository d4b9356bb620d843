// Tries the laws with examples that were never tried, for so many minutes (ten, or as named): npm run laws -- 2
// What it finds is told with its seed, and becomes a fixed example: LAWS_SEED=7 npm run unit tries the very same again.
import { spawnSync } from "node:child_process";
import { randomInt } from "node:crypto";
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import process from "node:process";
import { jestArguments } from "./jest.mjs";

const root = join(import.meta.dirname, "..");
const given = Number(process.argv[2] ?? 10);
if (!(given > 0)) {
  console.error("Name the minutes, such as npm run laws -- 2");
  process.exit(2);
}
const files = ["core", "shape", "web"]
  .flatMap((folder) =>
    readdirSync(join(root, folder), { recursive: true, encoding: "utf8" }).map((name) => join(root, folder, name)),
  )
  .filter((path) => path.endsWith(".test.ts") && readFileSync(path, "utf8").includes('from "fast-check"'));

const until = Date.now() + given * 60_000;
const began = Date.now();
let rounds = 0;
while (Date.now() < until) {
  const seed = randomInt(2 ** 31);
  const { status, stdout, stderr } = spawnSync(
    process.execPath,
    [...jestArguments, "--selectProjects", "unit", "--runTestsByPath", ...files],
    { cwd: root, encoding: "utf8", env: { ...process.env, LAWS_SEED: String(seed) }, maxBuffer: 1e9 },
  );
  rounds += 1;
  if (status !== 0) {
    console.error(stdout + stderr);
    console.error(`A law is broken by the seed ${seed}: LAWS_SEED=${seed} npm run unit tries the same again.`);
    process.exit(1);
  }
  console.log(`${rounds} rounds, ${Math.round((Date.now() - began) / 1000)} s: all laws hold (seed ${seed})`);
}
console.log(`${rounds} rounds of new examples over ${files.length} files: all laws hold.`);
