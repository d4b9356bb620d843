// Breaks what a server stands on, and counts what of the acknowledged is lost by it: `npm run faults [-- kills cuts …]`.
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { cuts, unsyncedCuts } from "./cuts.js";
import { full, fullElsewhere, readOnly } from "./full-disks.js";
import { handsOnFile } from "./hands-on-file.js";
import { requests } from "./requests.js";
import { namespaces } from "./namespaces.js";
import { twoServers } from "./two-servers.js";
import { starts } from "./starts.js";
import { soak } from "./soak.js";
import { creations, databaseKills, kills, killsElsewhere } from "./kills.js";

const kinds = {
  kills,
  creations,
  cuts,
  unsynced: unsyncedCuts,
  full,
  readonly: readOnly,
  fullelsewhere: fullElsewhere,
  starts,
  namespaces,
  elsewhere: killsElsewhere,
  database: databaseKills,
  servers: twoServers,
  file: handsOnFile,
  requests,
  soak,
};
const asked = process.argv.slice(2);
const folder = mkdtempSync(join(tmpdir(), "handy-frame-faults-"));
try {
  for (const [name, run] of Object.entries(kinds)) {
    if (asked.length && !asked.includes(name)) continue;
    const began = Date.now();
    console.log(`${name}: ${await run(join(folder, name))}, ${Math.round((Date.now() - began) / 1000)} s`);
  }
} finally {
  rmSync(folder, { recursive: true, force: true });
}
