import { existsSync, readdirSync, readFileSync } from "node:fs";
import { join, relative } from "node:path";

/** How long each test file took when it was run last, in seconds by its path: Jest keeps it, for the projects one by one. */
export const timesOf = (root) => {
  const folder = join(root, ".cache", "jest");
  const kept = existsSync(folder) ? readdirSync(folder).filter((name) => name.startsWith("perf-cache-")) : [];
  const took = new Map();
  for (const name of kept)
    for (const [path, [, ms]] of Object.entries(JSON.parse(readFileSync(join(folder, name), "utf8"))))
      took.set(relative(root, path), Math.max(ms / 1000, took.get(relative(root, path)) ?? 0));
  return took;
};
