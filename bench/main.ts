import { sure } from "../core/index.js";
// Measures what is promised. Prints a table, and JSON with --json. Ratios are of one run: machines are noisy, ratios less so.
import { cpus } from "node:os";
import { editingFigures } from "./editing.js";
import { engineFigures } from "./engine.js";
import { linkFigures } from "./links.js";
import type { Figure } from "./measure.js";
import { motionFigures } from "./motion.js";
import { pageFigures } from "./page.js";
import { planFigures } from "./plan.js";
import { savingFigures } from "./saving.js";
import { serverFigures } from "./server.js";
import { sizesFigures } from "./sizes.js";
import { walkFigures } from "./walk.js";

const parts: Record<string, () => Figure[] | Promise<Figure[]>> = {
  engine: engineFigures,
  links: linkFigures,
  plan: planFigures,
  server: serverFigures,
  saving: savingFigures,
  page: pageFigures,
  editing: editingFigures,
  sizes: sizesFigures,
  motion: motionFigures,
  walk: walkFigures,
};
const asked = process.argv.slice(2).filter((name) => name in parts);
const rounded = (value: number): string =>
  value >= 1000 ? Math.round(value).toLocaleString("en") : value.toPrecision(3);

const report: Record<string, Figure[]> = {};
// what was measured is told, whatever became of the rest
const failed: Record<string, string> = {};
for (const name of asked.length ? asked : Object.keys(parts))
  try {
    report[name] = await sure(parts[name])();
  } catch (error) {
    failed[name] = error instanceof Error ? error.message : String(error);
  }

if (process.argv.includes("--json"))
  console.log(JSON.stringify({ node: process.version, cpu: cpus()[0]?.model, figures: report, failed }, null, 2));
else
  for (const [name, figures] of Object.entries(report)) {
    console.log(`\n${name}`);
    for (const { name, value, unit, against, goal, met } of figures) {
      const compared = against
        ? `${against.ratio.toFixed(2)} × ${against.name} (${rounded(against.value)} ${unit})`
        : "";
      console.log(
        `  ${name.padEnd(58)} ${`${rounded(value)} ${unit}`.padStart(14)}  ${compared}${goal ? `  [${met ? "met" : "NOT MET"}: ${goal}]` : ""}`,
      );
    }
  }
for (const [name, why] of Object.entries(failed)) console.error(`\n${name} could not be measured: ${why}`);
process.exit(Object.keys(failed).length ? 1 : 0);
