// Makes the project ready to start or to test: installs packages when they are missing or older than the lock file, builds
// the page when it is missing or older than what it is made of, and with --browser and --postgres sees that there is a
// Chromium and a PostgreSQL.
// It runs before anything is installed, so it imports nothing that has to be.
import { execFileSync } from "node:child_process";
import { existsSync, readdirSync, statSync } from "node:fs";
import { delimiter, join } from "node:path";
import process from "node:process";
import { buildPage } from "./build-page.mjs";

const root = join(import.meta.dirname, "..");
const run = (command, args, options = {}) =>
  execFileSync(command, args, { cwd: root, stdio: ["ignore", "inherit", "inherit"], ...options });
const changed = (path) => (existsSync(path) ? statSync(path).mtimeMs : 0);

const installed = join(root, "node_modules", ".package-lock.json");
if (changed(installed) < changed(join(root, "package-lock.json"))) {
  console.log("Installing packages, about a minute …");
  run("npm", ["ci", "--no-audit", "--no-fund", "--loglevel=error"]);
}

const newest = (folder) => {
  let latest = 0;
  for (const entry of readdirSync(folder, { withFileTypes: true, recursive: true }))
    if (entry.isFile() && !entry.name.includes(".test."))
      latest = Math.max(latest, changed(join(entry.parentPath, entry.name)));
  return latest;
};
const sources = Math.max(
  newest(join(root, "web")),
  newest(join(root, "core")),
  changed(join(root, "package-lock.json")),
);
if (changed(join(root, "dist", "web", "index.html")) < sources) {
  console.log("Building the page …");
  const why = buildPage();
  if (why !== null) {
    console.error(`The page cannot be built: ${why}`);
    process.exit(1);
  }
}

/** What tests and measures need of the system: where it may be, and Debian's package of it. */
const programs = {
  "--browser": {
    name: "Chromium",
    places: [process.env.CHROMIUM, "/usr/bin/chromium-headless-shell"],
    packages: ["chromium-headless-shell"],
    // draws the same, and takes longer to begin
    instead: ["/usr/bin/chromium", "/usr/bin/chromium-browser", "/usr/bin/google-chrome"],
    otherwise: "Install it by hand, or name its program in the variable CHROMIUM.",
  },
  "--postgres": {
    name: "PostgreSQL",
    places: [
      ...(process.env.PATH ?? "").split(delimiter).map((place) => join(place, "initdb")),
      ...(existsSync("/usr/lib/postgresql") ? readdirSync("/usr/lib/postgresql") : []).map((version) =>
        join("/usr/lib/postgresql", version, "bin", "initdb"),
      ),
    ],
    packages: ["postgresql"],
    otherwise: "Install its server by hand.",
  },
};

for (const [flag, { name, places, packages, instead = [], otherwise }] of Object.entries(programs)) {
  if (!process.argv.includes(flag) || places.some((place) => place && existsSync(place))) continue;
  console.log(`Installing ${name} for the tests …`);
  try {
    const quiet = {
      env: { ...process.env, DEBIAN_FRONTEND: "noninteractive" },
      stdio: ["ignore", "ignore", "inherit"],
    };
    const as = process.getuid?.() === 0 ? [] : ["sudo", "-n"];
    const [first, ...rest] = [...as, "apt-get"];
    run(first, [...rest, "update", "-qq"], quiet);
    // another run may be installing just now
    const patient = ["-o", "DPkg::Lock::Timeout=300"];
    run(first, [...rest, ...patient, "install", "-y", "-qq", "--no-install-recommends", ...packages], quiet);
  } catch {
    if (instead.some((place) => existsSync(place))) continue;
    console.error(`${name} could not be installed. ${otherwise}`);
    process.exit(1);
  }
}
