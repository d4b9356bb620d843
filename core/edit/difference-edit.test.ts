import fc from "fast-check";
import { plainFrame, writeFrame } from "../frame/write.js";
import { anyFrame } from "../testing/arbitrary.js";
import { tabbed } from "../testing/frames.js";
import { applyEdit, applySoundly } from "./apply.js";
import { editBetween } from "./difference-edit.js";

test("the edit between any two frames makes the one of the other", () => {
  fc.assert(
    fc.property(anyFrame(), anyFrame(), (before, after) => {
      const result = applyEdit(before, editBetween(before, after));
      expect(result.ok && writeFrame(result.frame)).toBe(writeFrame(after));
    }),
  );
});
test("it leaves what went on meanwhile elsewhere", () => {
  const base = plainFrame(tabbed());
  const titled = applySoundly(base, { kind: "set", node: "c", key: "title", value: "Outside" });
  const moved = applySoundly(base, { kind: "move", id: "deep", from: "aTab", to: "bTab", after: null });
  if (!titled.ok || !moved.ok) throw new Error();
  const both = applySoundly(moved.frame, editBetween(base, titled.frame));
  expect(both.ok && both.frame.nodes).toMatchObject({
    c: { title: "Outside" },
    bTab: { children: ["deep", "b", "form"] },
  });
});
