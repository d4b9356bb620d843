// Writes docs/frame.schema.json anew, after a change of the form of the frame file.
import { writeFileSync } from "node:fs";
import { join } from "node:path";
import { frameJsonSchema } from "../shape/json-schema.js";

writeFileSync(
  join(import.meta.dirname, "..", "docs", "frame.schema.json"),
  `${JSON.stringify(frameJsonSchema(), null, 2)}\n`,
);
