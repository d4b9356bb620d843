// Everything that has to hold: the tests of all projects in one run, with types, lint, form and the measures beside it.
// Ends with one line that counts. What is given is given on to Jest: `npm test -- core/navigate`.
import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { join, relative } from "node:path";
import process from "node:process";
import { check, checks } from "./checks.mjs";
import { jestArguments, workspace } from "./jest.mjs";

const root = join(import.meta.dirname, "..");
const kept = workspace();
const report = join(mkdtempSync(join(kept, "report-")), "jest.json");

const others = Promise.all(checks.map((each) => check(each)));
const tests = await check({
  title: "tests",
  args: [...jestArguments, "--maxWorkers=3", "--json", "--outputFile", report, ...process.argv.slice(2)],
  isSaidAtOnce: true,
});
const isRight = await others;

let passed = isRight.filter(Boolean).length;
let failed = isRight.length - passed;
try {
  const { numPassedTests, numFailedTests, numFailedTestSuites, testResults } = JSON.parse(readFileSync(report, "utf8"));
  passed += numPassedTests;
  failed += numFailedTests;
  // a file that could not even be loaded has no tests to count
  if (!tests && numFailedTests === 0) failed += Math.max(1, numFailedTestSuites);
  const took = testResults.map(({ name, startTime, endTime }) => [(endTime - startTime) / 1000, name]);
  console.log("\n== the longest files, s");
  for (const [seconds, name] of took.sort(([a], [b]) => b - a).slice(0, 10))
    console.log(`${seconds.toFixed(0).padStart(4)} ${relative(root, name)}`);
} catch {
  failed += 1;
}
rmSync(kept, { recursive: true, force: true });
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
