// Everything that has to hold: types, lint and form, the unit tests, then the real interface. Ends with one line that counts.
import { spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import process from "node:process";

const root = join(import.meta.dirname, "..");
const bin = (name) => join(root, "node_modules", ".bin", name);
const kept = mkdtempSync(join(tmpdir(), "handy-frame-test-"));
let passed = 0;
let failed = 0;

const run = (title, command, args) => {
  console.log(`\n== ${title}`);
  return spawnSync(command, args, { cwd: root, stdio: ["ignore", "inherit", "inherit"] }).status === 0;
};
const check = (title, command, args) => {
  if (run(title, command, args)) passed += 1;
  else failed += 1;
};
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

check("types", bin("tsc"), ["--noEmit"]);
check("lint", bin("eslint"), ["."]);
check("form", bin("prettier"), ["--check", "--log-level", "warn", "."]);
jest("unit");
jest("e2e", "--runInBand");
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
