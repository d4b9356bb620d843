// Bundles the benchmarks as the page is bundled, so that what is measured is what runs there, and runs them.
import { build } from "esbuild";
import { join } from "node:path";
import { pathToFileURL } from "node:url";

const root = join(import.meta.dirname, "..");
const outfile = join(root, "node_modules", ".cache", "handy-frame", "bench.mjs");
await build({
  absWorkingDir: root,
  entryPoints: ["bench/main.ts"],
  bundle: true,
  platform: "node",
  format: "esm",
  target: "node20",
  packages: "external",
  outfile,
  define: {
    "import.meta.dirname": JSON.stringify(join(root, "bench")),
    "import.meta.url": JSON.stringify(pathToFileURL(join(root, "server", "any.ts")).href),
  },
});
await import(pathToFileURL(outfile).href);
