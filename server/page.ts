import { spawn } from "node:child_process";
import { existsSync } from "node:fs";
import { join } from "node:path";
import { fileURLToPath } from "node:url";

const root = fileURLToPath(new URL("..", import.meta.url));

/** The folder of the built page. */
export const page = join(root, "dist", "web");

/** Builds it, in a process of its own; answers why it could not, or null. */
const build = (folder: string): Promise<string | null> =>
  new Promise((resolve) => {
    const child = spawn(process.execPath, [join(root, "scripts", "build-page.mjs"), folder], {
      stdio: ["ignore", "ignore", "pipe"],
    });
    let said = "";
    child.stderr.on("data", (chunk: Buffer) => (said += chunk.toString()));
    child.once("error", (error) => resolve(error.message));
    child.once("close", (code) => resolve(code === 0 ? null : said.trim() || `it ended with ${code}`));
  });

/** Builds the page if it was not built yet. */
export const readyPage = async (say: (line: string) => void, folder = page): Promise<void> => {
  if (existsSync(join(folder, "index.html"))) return;
  say("Building the page, some seconds, this once …");
  const why = await build(folder);
  if (why !== null)
    throw new Error(`The page is not built, and cannot be: ${why}. Run npm ci, then npm run build, to see more.`);
};
