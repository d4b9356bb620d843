// Bundles for Node as the page is bundled, so that what is measured is what runs there.
import { build } from "esbuild";
import { pathToFileURL } from "node:url";

/** Bundles one entry of a checkout into a file, and answers what it exports. `more` are further options of the bundler. */
export const bundled = async (checkout, entry, outfile, more = {}) => {
  await build({
    absWorkingDir: checkout,
    entryPoints: [entry],
    bundle: true,
    platform: "node",
    format: "esm",
    target: "node20",
    outfile,
    logLevel: "error",
    ...more,
  });
  return import(pathToFileURL(outfile).href);
};
