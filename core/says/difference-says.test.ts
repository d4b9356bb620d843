import fc from "fast-check";
import { applySoundly } from "../edit/apply.js";
import { equal } from "../frame/equal.js";
import { plainFrame } from "../frame/write.js";
import type { Edit } from "../edit/edit.js";
import { anyEdit, anyFrame } from "../testing/arbitrary.js";
import { tabbed } from "../testing/frames.js";
import { differencesOf } from "./difference-says.js";

const frame = plainFrame(tabbed());
const said = (...edits: Edit[]): string[] => {
  const result = applySoundly(frame, { kind: "batch", edits });
  if (!result.ok) throw new Error(result.faults[0]!.received);
  return differencesOf(frame, result.frame).map(({ says }) => says);
};

describe("two frames compared", () => {
  test("say what came, went and moved, each once", () => {
    const nodes = { box: { kind: "stack" as const, title: "Box", children: ["x"] }, x: { kind: "screen" as const } };
    expect(said({ kind: "add", nodes, top: "box", parent: "app", after: "home" })).toEqual([
      "added Box in app with 1 inside",
    ]);
    expect(said({ kind: "remove", id: "bTab" })[0]).toBe("took bTab out of home with 2 inside");
    expect(said({ kind: "move", id: "deep", from: "aTab", to: "app", after: "home" })).toEqual([
      "moved Deep from aTab to app",
    ]);
    expect(said({ kind: "move", id: "deep", from: null, to: "bTab", after: "b" })).toEqual(["shared Deep with bTab"]);
    expect(said({ kind: "move", id: "deep", from: "aTab", to: null, after: null })).toEqual(["Deep is loose now"]);
    expect(said({ kind: "move", id: "deep", from: "aTab", to: "aTab", after: "a" })).toEqual(["reordered aTab"]);
  });
  test("say what each node has otherwise, in the words of the bench", () => {
    expect(said({ kind: "set", node: "c", key: "bars", value: "hide" })).toEqual(["c: bars hidden"]);
    expect(said({ kind: "set", node: "c", key: "title", value: "See" })).toEqual(['See: called "See", was "c"']);
    expect(said({ kind: "set", node: "home", key: "start", value: "c" })).toEqual(["home: starts at c"]);
    expect(said({ kind: "set", node: "item", key: "actions" })).toEqual(["Item: no action deep, cover and b any more"]);
    expect(said({ kind: "setFrame", key: "name", value: "New" })).toEqual(['the frame is called "New"']);
    expect(differencesOf(frame, frame)).toEqual([]);
  });
});

test("there is something to say of any two frames that differ, and nothing of those that do not", () => {
  fc.assert(
    fc.property(anyFrame(), anyEdit(), (before, edit) => {
      const result = applySoundly(before, edit);
      if (!result.ok) return;
      expect(differencesOf(before, result.frame).length > 0).toBe(!equal(before, result.frame));
    }),
    { numRuns: 200 },
  );
});
