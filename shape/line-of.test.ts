import { linesOf } from "./line-of.js";

const text =
  '{\n  "nodes": {\n    "a": {\n      "kind": "stack",\n      "children": ["b",\n        "c"]\n    }\n  }\n}\n';
const lineOf = linesOf(text);

test.each([
  ["", 1],
  ["/nodes", 2],
  ["/nodes/a", 3],
  ["/nodes/a/kind", 4],
  ["/nodes/a/children/1", 6],
  ["/nodes/a/title", 3],
  ["/nodes/nowhere/title", 2],
])("%j begins on line %d", (pointer, line) => {
  expect(lineOf(pointer)).toBe(line);
});

test("a text that is no JSON has one line to name", () => {
  expect(linesOf("")("/nodes")).toBe(1);
});
