// The server and the command line as one bundle: made when it is missing or older than what it is made of, so that a start
// does not wait for sources to be translated. It runs before anything else is loaded, so it loads the bundler only to build.
// A script, as are what starts it and what it starts: Node takes a while to make ready for modules.
const {
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} = require("node:fs");
const { createRequire } = require("node:module");
const { join } = require("node:path");
const { pathToFileURL } = require("node:url");
const { Script } = require("node:vm");

const root = join(__dirname, "..");
const sources = ["core", "shape", "server", "cli"];
/** Packages that every command loads, and that take long to be read file by file. */
const inside = new Set(["commander", "joi", "jsonc-parser", "papaparse"]);
/** Commands that are started from a script of their own. */
const quick = new Set(["play", "link", "motion", "check"]);
/** Bundles of earlier sources are kept so long, ms: a server may still run from one. */
const keptFor = 7 * 24 * 60 * 60 * 1000;

/** When the newest of what the bundle is made of was changed, ms. */
const newest = () => {
  let latest = 0;
  const look = (path) => {
    latest = Math.max(latest, statSync(path).mtimeMs);
  };
  const walk = (folder) => {
    for (const entry of readdirSync(folder, { withFileTypes: true })) {
      // each start waits for this
      const path = `${folder}/${entry.name}`;
      if (entry.isDirectory()) walk(path);
      else if (entry.name.endsWith(".ts") && !entry.name.endsWith(".test.ts")) look(path);
    }
  };
  for (const folder of sources) walk(join(root, folder));
  look(join(root, "package-lock.json"));
  look(__filename);
  return latest;
};

const build = async (folder) => {
  const { build: bundle } = require("esbuild");
  const { dependencies } = JSON.parse(readFileSync(join(root, "package.json"), "utf8"));
  const making = `${folder}.${process.pid}`;
  try {
    const common = {
      absWorkingDir: root,
      bundle: true,
      platform: "node",
      target: "node20",
      mainFields: ["module", "main"],
      outdir: making,
      external: Object.keys(dependencies).filter((name) => !inside.has(name)),
      // what is read beside a source file lies where that does
      define: {
        "import.meta.url": JSON.stringify(pathToFileURL(join(root, "server", "any.ts")).href),
        "process.env.HANDY_FRAME_THREAD": JSON.stringify(join(folder, "thread.mjs")),
      },
      minifyWhitespace: true,
      minifySyntax: true,
      logLevel: "error",
    };
    await bundle({
      ...common,
      entryPoints: ["cli/quick.ts"],
      // a script, as Node keeps what it made of one, and of no module
      format: "cjs",
      outExtension: { ".js": ".cjs" },
      // which the reader of the command line asks for, and none of these commands needs; it takes long to load
      alias: { "node:child_process": "./cli/no-processes.ts" },
    });
    await bundle({
      ...common,
      entryPoints: { main: "cli/main.ts", thread: "server/database/thread.ts" },
      splitting: true,
      format: "esm",
      outExtension: { ".js": ".mjs" },
      // packages in it that are no modules ask for what Node has by `require`
      banner: {
        js: `import { createRequire as requireFrom } from "node:module"; const require = requireFrom(${JSON.stringify(pathToFileURL(join(root, "package.json")).href)});`,
      },
    });
    if (!existsSync(folder)) renameSync(making, folder);
  } catch (error) {
    // another one may have put the same there in the same moment
    if (!existsSync(join(folder, "main.mjs"))) throw error;
  } finally {
    rmSync(making, { recursive: true, force: true });
  }
};

/** Takes bundles away that nobody starts from any more. */
const sweep = (folder, kept) => {
  for (const name of readdirSync(folder)) {
    const path = join(folder, name);
    if (path !== kept && Date.now() - statSync(path).mtimeMs > keptFor) rmSync(path, { recursive: true, force: true });
  }
};

/** The folder of the bundle, which is made first where it has to be. */
const toolBundle = async () => {
  const folder = join(root, "dist", "tool");
  const own = join(folder, String(Math.round(newest())));
  if (!existsSync(join(own, "main.mjs"))) {
    mkdirSync(folder, { recursive: true });
    await build(own);
    sweep(folder, own);
  }
  return own;
};

/** Runs the commands that read a file, print and end, with what Node made of their script when the same one was asked for last. */
const runQuick = (folder, name) => {
  const file = join(folder, "quick.cjs");
  const kept = join(folder, `quick.${name}.cache`);
  const cachedData = existsSync(kept) ? readFileSync(kept) : undefined;
  const script = new Script(`(function (require) {${readFileSync(file, "utf8")}\n})`, { filename: file, cachedData });
  if (!cachedData || script.cachedDataRejected)
    process.on("exit", () => {
      const making = `${kept}.${process.pid}`;
      try {
        writeFileSync(making, script.createCachedData());
        renameSync(making, kept);
      } catch {
        // where nothing can be kept it is made anew each time
      }
    });
  script.runInThisContext()(createRequire(file));
};

/** Does what the command line asks for. */
const startTool = async () => {
  const folder = await toolBundle();
  const [name] = process.argv.slice(2);
  if (quick.has(name)) runQuick(folder, name);
  else await import(pathToFileURL(join(folder, "main.mjs")).href);
};

module.exports = { startTool };
