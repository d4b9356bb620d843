// What can be said within a minute of what changed against main: types, lint, form, and the tests that are nearest to it.
// `npm run quick -- REVISION` compares with another revision.
import { execFileSync } from "node:child_process";
import { existsSync, rmSync } from "node:fs";
import { dirname, join, relative } from "node:path";
import process from "node:process";
import { check, checks } from "./checks.mjs";
import { jestArguments, workspace } from "./jest.mjs";
import { timesOf } from "./test-times.mjs";

const root = join(import.meta.dirname, "..");
/** Seconds of tests that are run, as long as they took last; two run at a time. */
const most = 28;
/** Seconds that a file is taken to need which never ran here, by its project. */
const usual = { unit: 4, e2e: 25 };

const git = (...args) => execFileSync("git", args, { cwd: root, encoding: "utf8" }).split("\n").filter(Boolean);
const isThere = (revision) => {
  try {
    return git("rev-parse", "--verify", "-q", revision).length > 0;
  } catch {
    return false;
  }
};
const against = process.argv[2] ?? (isThere("origin/main") ? "origin/main" : "main");
const changed = [
  ...new Set([...git("diff", "--name-only", against), ...git("ls-files", "--others", "--exclude-standard")]),
].filter((file) => existsSync(join(root, file)));

/** Which tests of the real interface work each part of the page, besides those named after it. */
const worked = [
  ["web/places/plan", ["adding", "keys"]],
  ["web/places/motion", ["motion-place"]],
  ["web/device", ["device"]],
  ["web/companion", ["device"]],
  ["web/data", ["late", "device"]],
  ["web/app", ["address", "keys"]],
  ["web/parts", ["adding"]],
  ["web", ["device"]],
  ["server", ["serving"]],
];
const inBrowser = (file) => {
  const named = /^web\/places\/(\w+)/.exec(file)?.[1];
  const own = named && existsSync(join(root, `e2e/${named}.test.ts`)) ? [named] : [];
  const found = worked.filter(([folder]) => file.startsWith(`${folder}/`)).flatMap(([, names]) => names);
  return [...own, ...found].map((name) => `e2e/${name}.test.ts`);
};

/** How far a test is from what changed: 0 beside it, 1 in the same part, 2 where it imports it. */
const distance = (test) => {
  const folders = changed.map((file) => dirname(file));
  if (changed.includes(test) || folders.includes(dirname(test))) return 0;
  const part = (path) => path.split("/").slice(0, 2).join("/");
  return folders.some((folder) => part(folder) === part(test)) ? 1 : 2;
};

const sources = changed.filter((file) => /\.(tsx?|mjs|cjs|sql|json)$/.test(file));
const related = sources.length
  ? execFileSync(process.execPath, [
      ...jestArguments,
      ...["--listTests", "--selectProjects", "unit", "--findRelatedTests"],
      ...sources.map((file) => join(root, file)),
    ])
      .toString()
      .split("\n")
      .filter((line) => line.endsWith(".test.ts"))
      .map((path) => relative(root, path))
  : [];
const took = timesOf(root);
// what is loaded for a file is not in its time
const secondsOf = (test) => (took.get(test) ?? (test.startsWith("e2e/") ? usual.e2e : usual.unit)) + 1;
const nearest = related.sort((a, b) => distance(a) - distance(b) || secondsOf(a) - secondsOf(b));
// the tests beside the change come first; then one look at the real interface, the shortest; then the tests that import it
const beside = nearest.filter((test) => distance(test) === 0);
const [inPage] = [...new Set(sources.flatMap(inBrowser))].sort((a, b) => secondsOf(a) - secondsOf(b));
const chosen = inPage === undefined ? [] : [inPage];
let left = 2 * most - Math.min(most, inPage === undefined ? 0 : secondsOf(inPage));
for (const test of [...beside, ...nearest]) {
  if (chosen.includes(test) || secondsOf(test) > left) continue;
  left -= secondsOf(test);
  chosen.push(test);
}
const isLeftOut = related.filter((test) => !chosen.includes(test)).length;

console.log(`${changed.length} files differ from ${against}: ${chosen.length} test files are run.`);
const kept = workspace();
const isPage = chosen.some((test) => test.startsWith("e2e/"));
if (isPage) await import("./ready.mjs");
const right = await Promise.all([
  ...checks.filter(({ title }) => title !== "measures").map((each) => check(each)),
  ...(chosen.length
    ? [
        check({
          title: "tests",
          args: [
            ...jestArguments,
            ...["--maxWorkers=2", "--selectProjects", "unit", ...(isPage ? ["e2e"] : []), "--runTestsByPath"],
            ...chosen.map((test) => join(root, test)),
          ],
          isSaidAtOnce: true,
        }),
      ]
    : []),
]);
rmSync(kept, { recursive: true, force: true });
if (isLeftOut) console.log(`\n${isLeftOut} test files that also use what changed were left out: npm test runs them.`);
process.exit(right.every(Boolean) ? 0 : 1);
