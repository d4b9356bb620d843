// Measures the core of this checkout against that of another commit, by turns in one run: `npm run against -- REVISION`.
import { execFileSync } from "node:child_process";
import { mkdtempSync, rmSync, symlinkSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { bundled } from "./bundle.mjs";

const root = join(import.meta.dirname, "..");
const [revision = "HEAD"] = process.argv.slice(2);
const folder = mkdtempSync(join(tmpdir(), "against-"));
const other = join(folder, "other");
try {
  execFileSync("git", ["worktree", "add", "-q", "--detach", other, revision], { cwd: root });
  symlinkSync(join(root, "node_modules"), join(other, "node_modules"));
  const before = await bundled(other, "core/index.ts", join(folder, "before.mjs"));
  const now = await bundled(root, "core/index.ts", join(folder, "now.mjs"));
  symlinkSync(join(root, "node_modules"), join(folder, "node_modules"));
  const { against } = await bundled(root, "bench/against.ts", join(folder, "work.mjs"), {
    packages: "external",
    define: { "import.meta.dirname": JSON.stringify(join(root, "bench")) },
  });
  against(before, now);
} finally {
  execFileSync("git", ["worktree", "remove", "--force", other], { cwd: root });
  rmSync(folder, { recursive: true, force: true });
}
