import { readFileSync } from "node:fs";
import { join } from "node:path";
import { checksDoc } from "./checks-doc.js";

test("the page of the rules is what the rules make of it", () => {
  expect(readFileSync(join(import.meta.dirname, "..", "docs", "checks.md"), "utf8")).toBe(checksDoc());
});
