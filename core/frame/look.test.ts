import fc from "fast-check";
import { anyFrame } from "../testing/arbitrary.js";
import { frameOf, hub, screen, stack } from "../testing/frames.js";
import { ownValue } from "./held.js";
import { classOf, lensOf, lookOf } from "./look.js";
import { type Face, type Id, type Opens } from "./parts.js";
import { properties, propertyKeys, propertyOf, varyingKeys } from "./properties.js";
import type { Frame, Node } from "./types.js";
import { type View, viewOf } from "./view.js";

const faces = ["bar", "top", "rail", "panel", "drawer"] as const;
const appears = ["push", "sheet", "fullscreen", "dialog", "side"] as const;
const bands = ["hand", "lap", "desk"] as const;
const table = <T>(value: fc.Arbitrary<T>) => fc.dictionary(fc.constantFrom(...bands), value, { noNullPrototype: true });
const flag = (is: boolean) => ({ floating: is, strip: is, bars: is ? ("hide" as const) : ("keep" as const) });

/** A frame in which nodes say by view, in every form there is, how they open, which face they have and what their tab shows. */
const anyVarying = (): fc.Arbitrary<Frame> =>
  fc
    .tuple(
      anyFrame(),
      fc.array(
        fc.record({
          facesOn: fc.dictionary(fc.constantFrom("key", "swipe"), table(fc.constantFrom<Face>(...faces)), {
            noNullPrototype: true,
          }),
          faces: fc.option(table(fc.constantFrom<Face>(...faces)), { nil: undefined }),
          shortFace: fc.option(fc.constantFrom<Face>(...faces), { nil: undefined }),
          opensIn: table(fc.constantFrom<Opens>(...appears)),
          opensOn: fc.dictionary(fc.constantFrom("key", "none"), fc.constantFrom<Opens>(...appears), {
            noNullPrototype: true,
          }),
          tab: fc.record(
            { icon: fc.constantFrom("leaf", "plant"), iconOn: fc.constant({ swipe: "list" }), label: fc.constant("T") },
            { requiredKeys: ["icon"] },
          ),
          splitFrom: fc.constantFrom(...bands, "gone"),
          is: fc.boolean(),
        }),
        { minLength: 4, maxLength: 8 },
      ),
      fc.option(fc.integer({ min: 300, max: 900 }), { nil: undefined }),
    )
    .map(([frame, dice, short]) => {
      const nodes = Object.entries(frame.nodes).map(([id, node], i): [Id, Node] => {
        const { facesOn, faces: own, shortFace, opensIn, opensOn, tab, splitFrom, is } = dice[i % dice.length]!;
        const both = id === frame.root ? {} : { opensIn, opensOn, tab };
        if (node.kind === "hub")
          return [
            id,
            { ...node, ...both, ...flag(is), facesOn, ...(own && { faces: own }), ...(shortFace && { shortFace }) },
          ];
        return [id, node.kind === "pair" ? { ...node, ...both, splitFrom } : { ...node, ...both }];
      });
      return { ...frame, nodes: Object.fromEntries(nodes), ...(short !== undefined && { short }) };
    });

const anyView = (): fc.Arbitrary<View> =>
  fc
    .record({
      width: fc.constantFrom(200, 559, 560, 959, 960, 1400),
      height: fc.constantFrom(299, 300, 480, 844),
      target: fc.constantFrom("key", "swipe", "none"),
    })
    .map((given) => viewOf(frameOf({ app: stack(["a"]), a: screen() }), given));

// A second reading of what a file says by view, written from the format's words and as slowly as they are.

/** Of the bands that a width has reached, the widest one of which a table speaks. */
const nearest = <T>(width: number, spoken: Readonly<Record<Id, T>> = {}): T | undefined => {
  const reached = [
    { id: "hand", from: 0 },
    { id: "lap", from: 560 },
    { id: "desk", from: 960 },
  ].filter(({ from }) => width >= from);
  return reached.map(({ id }) => spoken[id]).findLast((value) => value !== undefined);
};

const faceRead = (frame: Frame, node: Node, { width, height, target }: View): Face | null => {
  if (node.kind !== "hub") return null;
  const isLow = frame.short !== undefined && height < frame.short;
  const said: (Face | undefined)[] = [
    isLow ? node.shortFace : undefined,
    nearest(width, node.facesOn?.[target]),
    nearest(width, node.faces ?? { hand: "bar" }),
  ];
  return said.find((face) => face !== undefined) ?? null;
};

const opensRead = (node: Node, { width, target }: View): Opens =>
  [node.opensOn?.[target], nearest(width, node.opensIn), node.opens, "push" as const].find((way) => way !== undefined)!;

const splitRead = (node: Node, { width }: View): boolean => {
  if (node.kind !== "pair") return false;
  const from = { hand: 0, lap: 560, desk: 960 }[node.splitFrom ?? "lap"];
  return from !== undefined && width >= from;
};

test("a node looks in every view as a second, slow reading of what its frame says has it", () => {
  fc.assert(
    fc.property(anyVarying(), anyView(), (frame, view) => {
      const { look } = lensOf(frame, view);
      for (const [id, node] of Object.entries(frame.nodes)) {
        const seen = look(id);
        expect({ id, face: seen.face, opens: seen.opens, split: seen.split }).toEqual({
          id,
          face: faceRead(frame, node, view),
          opens: opensRead(node, view),
          split: splitRead(node, view),
        });
        expect(seen.tab.icon).toBe(node.tab?.iconOn?.[view.target] ?? node.tab?.icon);
        expect(seen.tab.label).toBe(node.tab?.label);
        // what no file says by view is the node's own word, else the default
        for (const key of varyingKeys)
          if (key !== "tab" && key !== "opens")
            expect([key, seen[key]]).toEqual([key, ownValue(node, key) ?? propertyOf(key).fallback]);
        expect(seen).toEqual(lookOf(frame, id, classOf(frame, view)));
      }
    }),
    { numRuns: 300 },
  );
});

describe("a look", () => {
  const frame = frameOf({ app: stack(["main"]), main: hub(["a"], { strip: true }), a: screen({ header: "off" }) });
  const { look } = lensOf(frame, viewOf(frame));
  test("has every field of the table that varies filled, whatever the node is", () => {
    for (const id of ["app", "main", "a", "nothing"])
      expect(Object.keys(look(id)).sort()).toEqual([...varyingKeys, "face", "split"].sort());
    expect(look("main")).toMatchObject({ strip: true, face: "bar", floating: false, limit: properties.limit.fallback });
    expect(look("a")).toMatchObject({ header: "off", face: null, split: false });
  });
  test("of what is gone, or is called as a part of every object is, is that of a plain screen", () => {
    for (const id of ["nothing", "constructor", "__proto__"]) expect(look(id)).toEqual({ ...look("a"), header: null });
  });
  test("is worked out once for all views that show it alike", () => {
    const [one, two] = [viewOf(frame, { width: 400 }), viewOf(frame, { width: 410, height: 500 })];
    expect(lensOf(frame, one).look("main")).toBe(lensOf(frame, two).look("main"));
    expect(lensOf(frame, viewOf(frame, { width: 700 })).look("main")).not.toBe(lensOf(frame, one).look("main"));
  });
});

describe("the table of properties", () => {
  test("gives each key to some kind of node, and its default is a value that the form takes", () => {
    for (const key of propertyKeys) {
      const { kinds, form, fallback } = propertyOf(key);
      expect([key, kinds.length > 0]).toEqual([key, true]);
      if (fallback === null) continue;
      if (form.sort === "choice") expect(Object.keys(form.choices)).toContain(fallback);
      if (form.sort === "flag") expect(typeof fallback).toBe("boolean");
      if (form.sort === "whole" || form.sort === "number") expect(fallback).toBeGreaterThanOrEqual(form.least);
    }
  });
});
