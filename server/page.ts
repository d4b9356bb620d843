import { spawn } from "node:child_process";
import { existsSync } from "node:fs";
import { rename, rm } from "node:fs/promises";
import { join } from "node:path";
import { fileURLToPath } from "node:url";

const root = fileURLToPath(new URL("..", import.meta.url));

/** The folder of the built page. */
export const page = join(root, "dist", "web");

const isBuilt = (folder: string): boolean => existsSync(join(folder, "index.html"));

const vite = (folder: string): Promise<string | null> =>
  new Promise((resolve) => {
    const bin = join(root, "node_modules", "vite", "bin", "vite.js");
    const build = spawn(process.execPath, [bin, "build", "web", "--outDir", folder, "--logLevel", "error"], {
      cwd: root,
      stdio: ["ignore", "ignore", "pipe"],
    });
    let said = "";
    build.stderr.on("data", (chunk: Buffer) => (said += chunk.toString()));
    build.once("error", (error) => resolve(error.message));
    build.once("close", (code) => resolve(code === 0 ? null : said.trim().split("\n")[0] || `it ended with ${code}`));
  });

/** Builds the page if it was not built yet; beside its place, so that a half-built one is never served. */
export const readyPage = async (say: (line: string) => void, folder = page): Promise<void> => {
  if (isBuilt(folder)) return;
  say("Building the page, some seconds, this once …");
  const making = `${folder}.${process.pid}`;
  try {
    const why = await vite(making);
    if (why !== null)
      throw new Error(`The page is not built, and cannot be: ${why}. Run npm ci, then npm run build, to see more.`);
    // another start may have built it meanwhile
    if (!isBuilt(folder)) await rename(making, folder);
  } finally {
    await rm(making, { recursive: true, force: true });
  }
};
