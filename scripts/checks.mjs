// What has to hold besides the tests. Each keeps what it found in `.cache/`, so that a second run looks at what changed.
import { spawn } from "node:child_process";
import { mkdirSync } from "node:fs";
import { join } from "node:path";
import process from "node:process";

const root = join(import.meta.dirname, "..");
const kept = join(root, ".cache");
const program = (path) => join(root, "node_modules", path);

/** Types, lint, form and measures, each as what Node is given to run it. */
export const checks = [
  {
    title: "types",
    args: [program("typescript/bin/tsc"), "--noEmit", "--incremental", "--tsBuildInfoFile", join(kept, "types.json")],
  },
  {
    title: "lint",
    args: [program("eslint/bin/eslint.js"), "--cache", "--cache-location", join(kept, "lint.json"), "."],
  },
  {
    title: "form",
    args: [
      program("prettier/bin/prettier.cjs"),
      ...["--check", "--log-level", "warn", "--cache", "--cache-location", join(kept, "form.json"), "."],
    ],
  },
  { title: "measures", args: [program("tsx/dist/cli.mjs"), join(root, "scripts/measures.ts"), "--hold"] },
];

/** Runs one beside others and answers whether it is right. What it prints comes in one piece once it is done, or at once where that is asked for. */
export const check = ({ title, args, isSaidAtOnce = false }) =>
  new Promise((resolve) => {
    mkdirSync(kept, { recursive: true });
    if (isSaidAtOnce) console.log(`\n== ${title}`);
    const output = isSaidAtOnce ? "inherit" : "pipe";
    const began = Date.now();
    const child = spawn(process.execPath, args, { cwd: root, stdio: ["ignore", output, output] });
    let said = "";
    for (const stream of [child.stdout, child.stderr]) stream?.on("data", (chunk) => (said += chunk.toString()));
    child.once("error", (error) => (said += error.message));
    child.once("close", (code) => {
      const seconds = Math.round((Date.now() - began) / 1000);
      if (!isSaidAtOnce)
        console.log(`\n== ${title}: ${code === 0 ? "right" : "wrong"} (${seconds} s)\n${said}`.trimEnd());
      resolve(code === 0);
    });
  });
