// Everything that has to hold: types, lint and form, the unit tests, those of the server on the other kind
// of database too, then the real interface. Ends with one line that counts.
import { spawn, spawnSync } from "node:child_process";
import { chmodSync, mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import process from "node:process";

const root = join(import.meta.dirname, "..");
const bin = (name) => join(root, "node_modules", ".bin", name);
/** What is made on the way lies in here, and is gone with it at the end. */
const kept = mkdtempSync(join(tmpdir(), "handy-frame-test-"));
// a database's server runs as a user of its own, which has to come to its folder in here
chmodSync(kept, 0o711);
process.env.TMPDIR = kept;
let passed = 0;
let failed = 0;

const run = (title, command, args) => {
  console.log(`\n== ${title}`);
  return spawnSync(command, args, { cwd: root, stdio: ["ignore", "inherit", "inherit"] }).status === 0;
};
/** Runs beside others; what it prints comes in one piece once it is done. */
const check = (title, command, args) =>
  new Promise((resolve) => {
    const child = spawn(command, args, { cwd: root, stdio: ["ignore", "pipe", "pipe"] });
    let said = "";
    for (const stream of [child.stdout, child.stderr]) stream.on("data", (chunk) => (said += chunk.toString()));
    child.once("error", (error) => (said += error.message));
    child.once("close", (code) => {
      console.log(`\n== ${title}${said && `\n${said}`}`);
      if (code === 0) passed += 1;
      else failed += 1;
      resolve();
    });
  });
const jest = (project, ...more) => {
  const report = join(kept, `${project}.json`);
  const node = [
    "--experimental-vm-modules",
    "--disable-warning=ExperimentalWarning",
    join(root, "node_modules/jest/bin/jest.js"),
  ];
  const ok = run(`tests: ${project}`, process.execPath, [
    ...node,
    "--selectProjects",
    project,
    "--json",
    "--outputFile",
    report,
    ...more,
  ]);
  try {
    const { numPassedTests, numFailedTests, numFailedTestSuites } = JSON.parse(readFileSync(report, "utf8"));
    passed += numPassedTests;
    failed += numFailedTests;
    // a file that could not even be loaded has no tests to count
    if (!ok && numFailedTests === 0) failed += Math.max(1, numFailedTestSuites);
  } catch {
    failed += 1;
  }
};

await Promise.all([
  check("types", bin("tsc"), ["--noEmit"]),
  check("lint", bin("eslint"), ["."]),
  check("form", bin("prettier"), ["--check", "--log-level", "warn", "."]),
]);
jest("unit", "--maxWorkers=2");
jest("elsewhere", "--maxWorkers=2");
jest("e2e", "--maxWorkers=2");
rmSync(kept, { recursive: true, force: true });
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
