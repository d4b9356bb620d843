// Writes docs/checks.md from the rules.
import { writeFileSync } from "node:fs";
import { join } from "node:path";
import { checksDoc } from "./checks-doc.js";

writeFileSync(join(import.meta.dirname, "..", "docs", "checks.md"), checksDoc());
