// Runs the tests of one project, or some of them: npm run unit -- core/navigate, npm run e2e -- links -t "a case".
import { spawnSync } from "node:child_process";
import { rmSync } from "node:fs";
import process from "node:process";
import { jestArguments, workspace } from "./jest.mjs";

const [project, ...which] = process.argv.slice(2);
const kept = workspace();
const { status } = spawnSync(process.execPath, [...jestArguments, ...which, "--selectProjects", project], {
  stdio: "inherit",
});
rmSync(kept, { recursive: true, force: true });
process.exit(status ?? 1);
