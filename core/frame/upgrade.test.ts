import fc from "fast-check";
import { anyFrame } from "../testing/arbitrary.js";
import { faultsOf } from "../faults/faults.js";
import { equal } from "./equal.js";
import { lookOf } from "./look.js";
import { isThere } from "./only.js";
import type { Face, Id, Opens } from "./parts.js";
import { isRaw, type Raw } from "./raw.js";
import type { Frame } from "./types.js";
import { isOlder, upgraded } from "./upgrade.js";
import { viewOf } from "./view.js";

const bands = ["hand", "lap", "desk"] as const;
const starts = { hand: 0, lap: 560, desk: 960 };
const targets = ["key", "swipe", "none"];
const table = <T>(value: fc.Arbitrary<T>) => fc.dictionary(fc.constantFrom(...bands), value, { noNullPrototype: true });
const onTarget = <T>(value: fc.Arbitrary<T>) =>
  fc.dictionary(fc.constantFrom(...targets), value, { noNullPrototype: true });
const aFace = fc.constantFrom<Face>("bar", "top", "rail", "panel", "drawer");
const aWay = fc.constantFrom<Opens>("push", "sheet", "fullscreen", "dialog", "side");
const maybe = <T>(value: fc.Arbitrary<T>) => fc.option(value, { nil: undefined });

/** What a node of format 1 said by view. */
interface Old extends Raw {
  kind: string;
  faces?: Record<Id, Face>;
  facesOn?: Record<Id, Record<Id, Face>>;
  shortFace?: Face;
  opens?: Opens;
  opensIn?: Record<Id, Opens>;
  opensOn?: Record<Id, Opens>;
  splitFrom?: Id;
  tab?: { icon?: string; iconOn?: Record<Id, string>; only?: OldOnly };
}
interface OldOnly {
  targets?: Id[];
  bands?: Id[];
  facts?: Record<Id, boolean>;
}

const anyOnly = fc.record(
  { targets: fc.subarray(targets), bands: fc.subarray([...bands]), facts: fc.constant({ on: true }) },
  { requiredKeys: [] },
);
const anySaid = fc.record({
  faces: maybe(table(aFace)),
  facesOn: maybe(onTarget(table(aFace))),
  shortFace: maybe(aFace),
  opensIn: maybe(table(aWay)),
  opensOn: maybe(onTarget(aWay)),
  splitFrom: maybe(fc.constantFrom(...bands)),
  tab: maybe(
    fc.record(
      { icon: fc.constant("leaf"), iconOn: onTarget(fc.constantFrom("plant", "list")), only: anyOnly },
      { requiredKeys: [] },
    ),
  ),
});

const held = (values: Raw): Raw =>
  Object.fromEntries(Object.entries(values).filter(([, value]) => value !== undefined));

/** A frame of format 1 whose nodes say by view, in every way there was, how they look. */
const anyOlder = () =>
  fc
    .tuple(anyFrame(), fc.array(anySaid, { minLength: 3, maxLength: 6 }), maybe(fc.integer({ min: 300, max: 900 })))
    .map(([frame, dice, short]) => {
      const nodes = Object.entries(frame.nodes).map(([id, node], i): [Id, Old] => {
        const { vary: _, ...plain } = node as unknown as Raw;
        const { face: _face, split: _split, ...own } = plain;
        const { faces, facesOn, shortFace, splitFrom, tab, ...both } = dice[i % dice.length]!;
        const inHub = Object.values(frame.nodes).some((other) => other.kind === "hub" && other.children.includes(id));
        const ofKind = node.kind === "hub" ? { faces, facesOn, shortFace } : node.kind === "pair" ? { splitFrom } : {};
        return [id, held({ ...own, ...both, ...ofKind, ...(inHub && { tab }) }) as Old];
      });
      return {
        ...frame,
        format: "handy-frame/1",
        nodes: Object.fromEntries(nodes),
        ...(short !== undefined && { short }),
      };
    });

interface Where {
  target: Id;
  band: number;
  low: boolean;
}

// The rules of format 1, read slowly: of the bands that are reached the widest first, and in each the target before all.

const reached = (band: number): Id[] => bands.slice(0, band + 1).reverse();
const firstOf = <T>(values: readonly (T | undefined)[]): T | undefined => values.find((value) => value !== undefined);

const faceRead = (node: Old, { target, band, low }: Where): Face => {
  if (low && node.shortFace) return node.shortFace;
  const faces = node.faces ?? { hand: "bar" as const };
  return firstOf(reached(band).flatMap((id) => [node.facesOn?.[target]?.[id], faces[id]])) ?? "none";
};
const opensRead = (node: Old, { target, band }: Where): Opens =>
  firstOf([node.opensOn?.[target], ...reached(band).map((id) => node.opensIn?.[id]), node.opens]) ?? "push";
const splitRead = (node: Old, { band }: Where): boolean =>
  node.kind === "pair" && band >= bands.findIndex((id) => id === (node.splitFrom ?? "lap"));
const iconRead = ({ tab }: Old, { target }: Where): string | undefined => tab?.iconOn?.[target] ?? tab?.icon;
const thereRead = ({ targets: on, bands: at, facts = {} }: OldOnly, { target, band }: Where, is: boolean): boolean =>
  (!on || on.includes(target)) &&
  (!at || at.includes(bands[band]!)) &&
  Object.values(facts).every((value) => value === is);

const everywhere = targets.flatMap((target) =>
  bands.flatMap((_, band) => [false, true].map((low): Where => ({ target, band, low }))),
);

test("a frame of format 1 looks in every view as it did", () => {
  fc.assert(
    fc.property(anyOlder(), fc.boolean(), (older, on) => {
      expect(isOlder(older)).toBe(true);
      const frame = upgraded(older) as Frame;
      expect(faultsOf(frame).filter(({ pointer }) => /vary|only/.test(pointer))).toEqual([]);
      const wrong: unknown[] = [];
      for (const [id, node] of Object.entries(older.nodes))
        for (const where of everywhere) {
          const { target, band, low } = where;
          const { face, opens, split, tab } = lookOf(frame, id, { target, band, short: low });
          const view = viewOf(frame, { width: starts[bands[band]!], target });
          const is = [face, opens, split, tab.icon, isThere(frame, frame.nodes[id]!.tab?.only, view, { on })];
          const was = [
            node.kind === "hub" ? faceRead(node, where) : "bar",
            opensRead(node, where),
            splitRead(node, where),
            iconRead(node, where),
            thereRead(node.tab?.only ?? {}, where, on),
          ];
          if (!equal(is, was)) wrong.push([id, where, is, was]);
        }
      expect(wrong.slice(0, 1)).toEqual([]);
    }),
    { numRuns: 1000 },
  );
});

describe("what is brought up from format 1", () => {
  const up = (nodes: Raw, more: Raw = {}): Raw => {
    const frame = upgraded({ format: "handy-frame/1", name: "Old", root: "app", nodes, ...more });
    return isRaw(frame) && isRaw(frame.nodes) ? frame.nodes : {};
  };
  test("says the face of a hub once, and what differs in one list", () => {
    const faces = { hand: "bar", lap: "rail" };
    expect(up({ home: { kind: "hub", faces, facesOn: { key: { hand: "drawer" } }, shortFace: "panel" } }).home).toEqual(
      {
        kind: "hub",
        face: "bar",
        vary: [
          { on: ["key"], set: { face: "drawer" } },
          { from: "lap", set: { face: "rail" } },
          { short: true, set: { face: "panel" } },
        ],
      },
    );
  });
  test("of bands with a gap between them makes a list of conditions", () => {
    const only = { bands: ["hand", "desk"], targets: ["key"], facts: { on: true } };
    const action = { id: "go", label: "Go", place: "body", do: { kind: "back" } };
    expect(up({ a: { kind: "screen", actions: [{ ...action, only }] } }).a).toMatchObject({
      actions: [
        {
          only: [
            { on: ["key"], facts: { on: true }, to: "hand" },
            { on: ["key"], facts: { on: true }, from: "desk" },
          ],
        },
      ],
    });
  });
  test("is left as it is where it cannot be read, for the reader to find fault with", () => {
    const odd = { kind: "hub", children: [], faces: { wide: "bar" }, opensIn: 7 };
    expect(up({ odd }).odd).toEqual(odd);
    expect(upgraded({ format: "handy-frame/1", nodes: 3 })).toEqual({ format: "handy-frame/2", nodes: 3 });
    for (const value of [null, 3, [], { format: "handy-frame/9" }]) expect(upgraded(value)).toBe(value);
  });
});
