import type { NodeKey } from "../frame/properties.js";
import type { Edit } from "./edit.js";
import { clashesOf, withoutClashes } from "./clash.js";

const set = (node: string, key: NodeKey, value?: unknown): Edit => ({ kind: "set", node, key, value });

describe("edits made at once", () => {
  test("clash where they give one key two values, and nowhere else", () => {
    expect(clashesOf(set("a", "title", "Mine"), [set("a", "title", "Theirs")])).toEqual([
      { node: "a", key: "title", mine: "Mine", theirs: "Theirs" },
    ]);
    expect(clashesOf(set("a", "title", "Same"), [set("a", "title", "Same")])).toEqual([]);
    expect(clashesOf(set("a", "title", "Mine"), [set("a", "bars", "hide"), set("b", "title", "X")])).toEqual([]);
    expect(clashesOf(set("a", "title", "Mine"), [set("a", "title", "First"), set("a", "title", "Mine")])).toEqual([]);
  });
  test("clash inside batches, with what is put back, and over the frame's own fields", () => {
    const theirs: Edit = {
      kind: "restore",
      nodes: { a: { set: { title: "Old" }, drop: ["bars"] } },
      fields: { set: { name: "N" } },
    };
    const mine: Edit = {
      kind: "batch",
      edits: [set("a", "bars", "hide"), { kind: "setFrame", key: "name", value: "M" }, set("a", "note", "kept")],
    };
    const clashes = clashesOf(mine, [theirs]);
    expect(clashes.map(({ key }) => key)).toEqual(["bars", "name"]);
    expect(withoutClashes(mine, clashes)).toEqual({ kind: "batch", edits: [set("a", "note", "kept")] });
    expect(withoutClashes(set("a", "bars", "hide"), clashes)).toBeNull();
    expect(withoutClashes(theirs, clashes)).toEqual({
      kind: "restore",
      nodes: { a: { set: { title: "Old" }, drop: [] } },
      fields: { set: {}, drop: [] },
    });
  });
});
