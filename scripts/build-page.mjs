// Builds the page beside its place and then puts it there, so that a half-built one is never served, nor taken from under
// one that runs. It imports nothing that has to be installed, but runs the bundler that is.
import { spawnSync } from "node:child_process";
import { existsSync, mkdirSync, renameSync, rmSync } from "node:fs";
import { dirname, join, resolve } from "node:path";
import process from "node:process";

const root = join(import.meta.dirname, "..");
const bundler = join(root, "node_modules", "vite", "bin", "vite.js");

/** Builds into a folder; answers why it could not, or null. */
export const buildPage = (folder = join(root, "dist", "web")) => {
  const making = `${folder}.${process.pid}`;
  const old = `${making}.old`;
  try {
    mkdirSync(dirname(folder), { recursive: true });
    const args = [bundler, "build", "web", "--outDir", making, "--emptyOutDir", "--logLevel", "error"];
    const { status, stderr, error } = spawnSync(process.execPath, args, {
      cwd: root,
      encoding: "utf8",
      // whatever it is built from: a test says that it is one, and the page is then three times as large
      env: { ...process.env, NODE_ENV: "production" },
    });
    if (status !== 0) return error?.message ?? (stderr.trim().split("\n")[0] || `the bundler ended with ${status}`);
    if (existsSync(folder)) renameSync(folder, old);
    renameSync(making, folder);
    return null;
  } catch (error) {
    // another one may have put the same there in the same moment
    return existsSync(join(folder, "index.html")) ? null : error.message;
  } finally {
    for (const each of [making, old]) rmSync(each, { recursive: true, force: true });
  }
};

if (process.argv[1] === import.meta.filename) {
  const why = buildPage(process.argv[2] && resolve(process.argv[2]));
  if (why !== null) {
    process.stderr.write(`${why}\n`);
    process.exit(1);
  }
}
