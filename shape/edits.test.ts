import fc from "fast-check";
import { equal, faultsOf, type Edit, type Frame, plainFrame, segmentsOf } from "../core/index.js";
import { tabbed } from "../core/testing/frames.js";
import { anyEdit, anyFrame } from "../core/testing/arbitrary.js";
import { applyChecked, editSchema } from "./edits.js";
import { joiOptions } from "./form.js";
import { readFrameValue } from "./read.js";

const frame = plainFrame(tabbed());
const told = (edit: unknown, on: Frame = frame): string[] => {
  const result = applyChecked(on, edit as Edit);
  return result.ok ? [] : result.faults.map(({ pointer, received }) => `${pointer}: ${received}`);
};

describe("an edit that comes from outside", () => {
  test("never leaves a node without its kind, nor the frame without what it stands on", () => {
    const restored = (change: object) => told({ kind: "restore", ...change });
    expect(restored({ nodes: { c: { drop: ["kind"] } } })).toEqual(["/nodes/c/kind: c without its kind"]);
    expect(restored({ nodes: { c: { set: { kind: "stack" } } } })).toEqual(["/nodes/c/kind: c without its kind"]);
    expect(restored({ nodes: { c: { node: { title: "None" } } } })[0]).toMatch("/nodes/c/kind: nothing");
    for (const field of ["nodes", "root", "format", "name"])
      expect(restored({ fields: { drop: [field] } })).toEqual([`/${field}: the frame without its ${field}`]);
    expect(restored({ fields: { set: { nodes: {} } } })).toEqual(["/nodes: the frame without its nodes"]);
    expect(restored({ fields: { set: { root: 7 } } })[0]).toMatch("/root: 7");
    expect(restored({ fields: { set: { root: "nowhere" } } })[0]).toMatch("/root: ");
  });
  test("is told by the place of what is wrong, whatever it puts there", () => {
    expect(told({ kind: "set", node: "c", key: "actions", value: 5 })).toEqual(["/nodes/c/actions: 5"]);
    expect(told({ kind: "set", node: "a", key: "needs", value: [null] })[0]).toMatch("/nodes/a/needs/0");
    expect(told({ kind: "setFrame", key: "targets", value: "all" })).toEqual(['/targets: "all"']);
    expect(told({ kind: "setFrame", key: "facts", value: [{}] })).toEqual([
      "/facts/0/id: nothing",
      "/facts/0/label: nothing",
    ]);
    expect(told({ kind: "restore", nodes: { home: { set: { children: "aTab" } } } })[0]).toMatch(
      "/nodes/home/children",
    );
    expect(told({ kind: "set", node: "c", key: "title", value: "a\u0000" })[0]).toMatch("/nodes/c/title: ");
    expect(told({ kind: "set", node: "aTab", key: "tab", value: { icon: "\ud800" } })[0]).toMatch("/nodes/aTab/tab");
  });
  test("of any form is applied, and sound after it, or refused; it never breaks what applies it", () => {
    let applied = 0;
    const odd = fc.oneof(
      fc.constantFrom<unknown>(null, 7, "", "kind", "c", [], {}, [null], { kind: "stack" }, "\u0000", undefined),
      fc.jsonValue({ maxDepth: 2 }),
    );
    /** An edit with something in it replaced. */
    const spoilt = fc
      .tuple(anyEdit(), fc.array(fc.nat(5), { minLength: 1, maxLength: 4 }), odd)
      .map(([edit, way, value]) => {
        const copy = structuredClone(edit) as unknown as Record<string, unknown>;
        let at = copy;
        for (const [i, n] of way.entries()) {
          const keys = Object.keys(at);
          const key = keys[n % Math.max(1, keys.length)];
          if (key === undefined) break;
          const inner = at[key];
          if (i === way.length - 1 || typeof inner !== "object" || inner === null) {
            at[key] = value;
            break;
          }
          at = inner as Record<string, unknown>;
        }
        return copy;
      });
    const restore = fc.record({
      kind: fc.constant("restore"),
      nodes: fc.dictionary(
        fc.constantFrom("s1", "n1", "n2", "loose"),
        fc.oneof(
          fc.record({ gone: fc.constant(true) }),
          fc.record({ set: fc.dictionary(fc.constantFrom("children", "kind", "start", "tab", "body"), odd) }),
          fc.record({ drop: fc.array(fc.constantFrom("kind", "children", "title", "list")) }),
          fc.record({ node: fc.dictionary(fc.constantFrom("kind", "children", "list"), odd) }),
        ),
        { maxKeys: 2 },
      ),
      fields: fc.record({
        set: fc.dictionary(fc.constantFrom("name", "targets", "nodes", "root", "zoo", "theme"), odd),
        drop: fc.array(fc.constantFrom("name", "nodes", "root", "targets", "facts"), { maxLength: 2 }),
      }),
    });
    fc.assert(
      fc.property(anyFrame(), fc.array(fc.oneof(anyEdit(), spoilt, restore), { maxLength: 8 }), (start, edits) => {
        let now = start;
        for (const edit of edits) {
          if (editSchema.validate(edit, joiOptions).error) continue;
          const result = applyChecked(now, edit as Edit);
          if (!result.ok) {
            for (const { pointer } of result.faults) segmentsOf(pointer);
            continue;
          }
          applied += 1;
          now = result.frame;
          expect(faultsOf(now)).toEqual([]);
          expect(readFrameValue(now)).toMatchObject({ ok: true });
          // what stands in memory is what would be written
          expect(equal(now, plainFrame(now))).toBe(true);
        }
      }),
      { numRuns: 400 },
    );
    expect(applied).toBeGreaterThan(100);
  });
});
