// How Jest is started, and where tests put their files: said once for `npm test`, `npm run unit`, `quick` and `laws`.
import { accessSync, chmodSync, constants, mkdtempSync, statfsSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import process from "node:process";

const root = join(import.meta.dirname, "..");

/** What Node is given to run Jest. */
export const jestArguments = [
  "--experimental-vm-modules",
  "--disable-warning=ExperimentalWarning",
  join(root, "node_modules/jest/bin/jest.js"),
];

/** Bytes that a run of all tests needs for its files, with room to spare. */
const needed = 3 * 1024 ** 3;
const memory = "/dev/shm";

/** A disk in memory, where the system has one with room for the files of the tests. */
const memoryDisk = () => {
  try {
    accessSync(memory, constants.W_OK);
    const { bavail, bsize } = statfsSync(memory);
    return bavail * bsize > needed ? memory : null;
  } catch {
    return null;
  }
};

/** Makes the folder for all files that tests write. Every process that is started from now on uses it. The caller removes it in the end. */
export const workspace = () => {
  const kept = mkdtempSync(join(memoryDisk() ?? tmpdir(), "handy-frame-test-"));
  // the database server runs as another user, who has to reach its folder in here
  chmodSync(kept, 0o711);
  process.env.TMPDIR = kept;
  return kept;
};
