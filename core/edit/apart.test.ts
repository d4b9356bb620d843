import fc from "fast-check";
import { plainFrame, writeFrame } from "../frame/write.js";
import { anyFrame } from "../testing/arbitrary.js";
import { tabbed } from "../testing/frames.js";
import { takenApart, putTogether } from "./apart.js";
import { applyEdit, applySoundly } from "./apply.js";
import { editBetween } from "./difference-edit.js";

test("a change that is taken apart and put together is the same change", () => {
  fc.assert(
    fc.property(anyFrame(), anyFrame(), (before, after) => {
      const edit = editBetween(before, after);
      const parts = takenApart(edit);
      const made = applyEdit(before, putTogether(parts));
      expect(made.ok && writeFrame(made.frame)).toBe(writeFrame(after));
      expect(takenApart(putTogether(parts))).toEqual(parts);
    }),
  );
});

test("a part can be left out, or made with another value, and the rest stands", () => {
  const frame = plainFrame(tabbed());
  const both = applySoundly(frame, {
    kind: "batch",
    edits: [
      { kind: "set", node: "a", key: "title", value: "One" },
      { kind: "set", node: "b", key: "title", value: "Two" },
      { kind: "setFrame", key: "name", value: "Three" },
    ],
  });
  if (!both.ok) throw new Error();
  const parts = takenApart(editBetween(frame, both.frame));
  expect(parts.map(({ does, node }) => [does, node])).toEqual([
    ["set", "a"],
    ["set", "b"],
    ["set", null],
  ]);
  const [, second, third] = parts;
  const mended = applySoundly(frame, putTogether([{ ...second!, value: "Other" } as typeof second & object, third!]));
  if (!mended.ok) throw new Error();
  expect([mended.frame.nodes.a, mended.frame.nodes.b!.title, mended.frame.name]).toEqual([
    frame.nodes.a,
    "Other",
    "Three",
  ]);
});
