import fc from "fast-check";
import { faultsOf } from "../faults/faults.js";
import type { Frame, HubNode, ScreenNode, StackNode } from "../frame/types.js";
import { plainFrame } from "../frame/write.js";
import { anyFrame } from "../testing/arbitrary.js";
import { frameOf, opening, screen, stack, tabbed } from "../testing/frames.js";
import { applySoundly } from "./apply.js";
import { type Clip, clipOf, pasteClip, readClip } from "./clip.js";

const frame = plainFrame(tabbed());
const small = plainFrame(frameOf({ app: stack(["x"]), x: screen({ path: "/a" }) }));
const pasted = (into: Frame, clip: Clip, parent: string | null, after: string | null = null) => {
  const made = pasteClip(into, clip, { parent, after });
  if (!made) throw new Error("it does not go");
  const result = applySoundly(into, made.edit);
  if (!result.ok) throw new Error(JSON.stringify(result.faults));
  return { frame: result.frame, ...made };
};

describe("parts copied", () => {
  test("go into the same frame under ids of their own, with the ways among them", () => {
    const { frame: next, tops } = pasted(frame, clipOf(frame, [{ id: "bTab", parent: "home" }]), "home", "bTab");
    expect(tops).toEqual(["bTab2"]);
    expect((next.nodes.home as HubNode).children).toEqual(["aTab", "bTab", "bTab2", "c"]);
    expect((next.nodes.b2 as ScreenNode).actions!.map(({ do: act }) => "to" in act && act.to)).toEqual([
      "form2",
      "item",
    ]);
  });
  test("go into another frame without what that cannot have, and say so", () => {
    const { frame: next, left } = pasted(small, clipOf(frame, [{ id: "aTab", parent: "home" }]), "app", "x");
    expect((next.nodes.app as StackNode).children).toEqual(["x", "aTab"]);
    expect((next.nodes.item as ScreenNode).actions).toEqual([opening("deep")]);
    expect(left).toEqual(["A: path"]);
    expect((next.nodes.a as ScreenNode).path).toBeUndefined();
  });
  test("lose one action that needs an unknown fact, not all of them", () => {
    const on = plainFrame(
      frameOf(
        {
          app: stack(["a"]),
          a: screen({ actions: [opening("a"), { ...opening("a"), id: "b", only: { facts: { on: true } } }] }),
        },
        { facts: [{ id: "on", label: "On" }] },
      ),
    );
    const { frame: next } = pasted(small, clipOf(on, [{ id: "a", parent: "app" }]), "app");
    expect((next.nodes.a as ScreenNode).actions!.map(({ id }) => id)).toEqual(["a"]);
  });
  test("travel as text, and other texts are none", () => {
    const clip = clipOf(frame, [{ id: "app", parent: null }]);
    expect(clip.tops).toEqual(["home", "cover"]);
    expect(readClip(JSON.stringify(clip))).toEqual(clip);
    const parts = (node: unknown) => JSON.stringify({ format: "handy-frame-parts/1", tops: ["a"], nodes: { a: node } });
    for (const node of [
      5,
      null,
      { kind: "pile" },
      { kind: "stack" },
      { kind: "stack", children: 5 },
      { kind: "screen", actions: 5 },
      { kind: "screen", actions: [5] },
    ])
      expect(readClip(parts(node))).toBeNull();
    for (const text of ["", "Home\n  Feed", "{}", "null", '{"format":"handy-frame-parts/1","tops":["a"],"nodes":{}}'])
      expect(readClip(text)).toBeNull();
  });
});

test("any part of any frame goes into any other and leaves it sound", () => {
  fc.assert(
    fc.property(anyFrame(), anyFrame(), fc.nat(), (from, to, n) => {
      const ids = Object.keys(from.nodes).filter((id) => id !== from.root);
      const made = pasteClip(to, clipOf(from, [{ id: ids[n % ids.length]!, parent: null }]), {
        parent: to.root,
        after: null,
      });
      if (!made) return;
      const result = applySoundly(to, made.edit);
      expect(result.ok && faultsOf(result.frame)).toEqual([]);
    }),
    { numRuns: 200 },
  );
});
