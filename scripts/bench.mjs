// Runs the benchmarks: `npm run bench`.
import { join } from "node:path";
import { pathToFileURL } from "node:url";
import { bundled } from "./bundle.mjs";

const root = join(import.meta.dirname, "..");
await bundled(root, "bench/main.ts", join(root, "node_modules", ".cache", "handy-frame", "bench.mjs"), {
  packages: "external",
  define: {
    "import.meta.dirname": JSON.stringify(join(root, "bench")),
    "import.meta.url": JSON.stringify(pathToFileURL(join(root, "server", "any.ts")).href),
  },
});
