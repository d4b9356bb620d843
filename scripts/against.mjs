// Measures the core of this checkout against that of another commit, by turns in one run: `npm run against -- REVISION`.
import { build } from "esbuild";
import { execFileSync } from "node:child_process";
import { mkdtempSync, rmSync, symlinkSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { pathToFileURL } from "node:url";

const root = join(import.meta.dirname, "..");
const [revision = "HEAD"] = process.argv.slice(2);
const folder = mkdtempSync(join(tmpdir(), "against-"));
const other = join(folder, "other");
try {
  execFileSync("git", ["worktree", "add", "-q", "--detach", other, revision], { cwd: root });
  symlinkSync(join(root, "node_modules"), join(other, "node_modules"));
  const bundled = async (checkout, name) => {
    const outfile = join(folder, `${name}.mjs`);
    await build({
      absWorkingDir: checkout,
      entryPoints: ["core/index.ts"],
      bundle: true,
      platform: "node",
      format: "esm",
      target: "node20",
      outfile,
      logLevel: "error",
    });
    return import(pathToFileURL(outfile).href);
  };
  const [before, now] = [await bundled(other, "before"), await bundled(root, "now")];
  const outfile = join(folder, "work.mjs");
  await build({
    absWorkingDir: root,
    entryPoints: ["bench/against.ts"],
    bundle: true,
    platform: "node",
    format: "esm",
    target: "node20",
    packages: "external",
    outfile,
    define: { "import.meta.dirname": JSON.stringify(join(root, "bench")) },
    logLevel: "error",
  });
  symlinkSync(join(root, "node_modules"), join(folder, "node_modules"));
  const { against } = await import(pathToFileURL(outfile).href);
  against(before, now);
} finally {
  execFileSync("git", ["worktree", "remove", "--force", other], { cwd: root });
  rmSync(folder, { recursive: true, force: true });
}
