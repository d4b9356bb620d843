import fc from "fast-check";
import { applySoundly } from "../edit/apply.js";
import { anyEdit, anyFrame } from "../testing/arbitrary.js";
import { childrenOf, factsOf, factValues } from "./defaults.js";
import { indexOf, isAttached, parentsOf, placesOf, subtreeOf } from "./frame-index.js";
import { factCombinations, firstUnmet, mayStand, needsAbove, standsInFor } from "./needs.js";
import { mayStart, startIn, wayIn } from "./way-in.js";
import type { Id } from "./parts.js";
import { eachLead, mapReferences, referencesOf } from "./references.js";
import type { Frame, Node } from "./types.js";

/** A frame as it is after some edits: what is known of a frame is handed on from one to the next. */
const anyEdited = (): fc.Arbitrary<Frame> =>
  fc.tuple(anyFrame(), fc.array(anyEdit(), { maxLength: 8 })).map(([frame, edits]) => {
    let now = frame;
    for (const edit of edits) {
      // the index is asked for at every stage, so that one that is handed on wrongly is met
      indexOf(now);
      const result = applySoundly(now, edit);
      if (result.ok) now = result.frame;
    }
    return now;
  });

/** Every way from the root down to a node, by going down all children in order: nothing is kept, nothing skipped. */
const waysTo = (frame: Frame, wanted: Id): Id[][] => {
  const found: Id[][] = [];
  const down = (id: Id, way: Id[]): void => {
    if (id === wanted) found.push(way);
    for (const child of childrenOf(frame.nodes[id]!)) down(child, [...way, id]);
  };
  down(frame.root, []);
  return found;
};

describe("where each node stands, read a second time by going down the whole tree", () => {
  test("is what the index says, after every edit too", () => {
    fc.assert(
      fc.property(anyEdited(), (frame) => {
        const { ids, loose, ways } = indexOf(frame);
        expect(ids).toEqual(Object.keys(frame.nodes));
        const held = new Set(Object.values(frame.nodes).flatMap((node) => childrenOf(node)));
        expect(loose).toEqual(ids.filter((id) => id !== frame.root && !held.has(id)));
        for (const id of ids) {
          const plainly = waysTo(frame, id);
          // down the tree: a place inside an earlier child comes before a later child
          expect(placesOf(frame, id)).toEqual(plainly.flatMap((way) => way.at(-1) ?? []));
          expect(isAttached(frame, id)).toBe(plainly.length > 0);
          expect(parentsOf(frame, id)).toEqual(ids.filter((each) => childrenOf(frame.nodes[each]!).includes(id)));
          const isContainer = frame.nodes[id]!.kind !== "screen";
          expect(ways.get(id)).toEqual(isContainer && plainly[0] ? [...plainly[0], id] : undefined);
        }
      }),
      { numRuns: 150 },
    );
  });

  test("what stands in a node is all that has a way through it, parents before their children", () => {
    fc.assert(
      fc.property(anyEdited(), (frame) => {
        for (const id of Object.keys(frame.nodes).filter((each) => isAttached(frame, each))) {
          const inside = subtreeOf(frame, id);
          expect(inside[0]).toBe(id);
          expect(new Set(inside).size).toBe(inside.length);
          const through = indexOf(frame).ids.filter((each) => waysTo(frame, each).some((way) => way.includes(id)));
          expect(new Set(inside)).toEqual(new Set([id, ...through]));
          inside.slice(1).forEach((each) => {
            const above = parentsOf(frame, each).map((parent) => inside.indexOf(parent));
            expect(above.some((at) => at >= 0 && at < inside.indexOf(each))).toBe(true);
          });
        }
      }),
      { numRuns: 100 },
    );
  });
});

describe("the names in a node", () => {
  /** Every name of a node in the JSON of another, by the keys that hold one, wherever they stand. */
  const namesIn = (value: unknown, key = ""): Id[] => {
    if (typeof value === "string") return ["to", "otherwise", "opens", "linkIn"].includes(key) ? [value] : [];
    if (Array.isArray(value)) return value.flatMap((each) => namesIn(each));
    return Object.entries(value ?? {}).flatMap(([inner, each]) => namesIn(each, inner));
  };
  /** How a node itself opens, in whichever views, is no name. */
  const elsewhere = ({ opens: _, vary: _vary, ...node }: Node): unknown => node;

  test("are all told, and the ways among them are those it leads by", () => {
    let told = 0;
    fc.assert(
      fc.property(anyEdited(), (frame) => {
        for (const node of Object.values(frame.nodes)) {
          const references = referencesOf(node);
          expect(references.map(({ to }) => to).sort()).toEqual(namesIn(elsewhere(node)).sort());
          for (const { at, to } of references)
            expect(at.reduce<unknown>((value, part) => (value as Record<string, unknown>)[part], node)).toBe(to);
          const leads: Id[] = [];
          eachLead(node, (to) => leads.push(to));
          expect(leads).toEqual(references.filter(({ role }) => role === "way").map(({ to }) => to));
          told += references.length;
        }
      }),
      { numRuns: 150 },
    );
    expect(told).toBeGreaterThan(500);
  });

  test("are changed all at once, or none: what names nothing else stays the same object", () => {
    fc.assert(
      fc.property(anyEdited(), (frame) => {
        for (const node of Object.values(frame.nodes)) {
          const before = JSON.stringify(node);
          expect(mapReferences(node, (id) => id)).toBe(node);
          const renamed = mapReferences(node, (id) => `${id}New`);
          expect(referencesOf(renamed)).toEqual(referencesOf(node).map((each) => ({ ...each, to: `${each.to}New` })));
          expect(mapReferences(renamed, (id) => id.replace(/New$/, ""))).toEqual(node);
          expect(referencesOf(mapReferences(node, () => null))).toEqual([]);
          expect(JSON.stringify(node)).toBe(before);
        }
      }),
      { numRuns: 150 },
    );
  });
});

describe("what the facts allow", () => {
  test("is asked of a node, of what it stands in, and of what it starts with", () => {
    let barred = 0;
    fc.assert(
      fc.property(anyEdited(), (frame) => {
        const isFree = (facts: Record<Id, unknown>, id: Id): boolean =>
          (frame.nodes[id]!.needs ?? []).every(({ fact, is }) => [is].flat().some((value) => value === facts[fact]));
        for (const facts of factCombinations(frame))
          for (const id of Object.keys(frame.nodes)) {
            const stands = isFree(facts, id) && waysTo(frame, id).some((way) => way.every((at) => isFree(facts, at)));
            if (isAttached(frame, id)) expect(mayStand(frame, facts, id)).toBe(stands);
            // whatever starts there is free, all the way down, and goes by children
            const way = wayIn(frame, facts, id);
            expect(mayStart(frame, facts, id)).toBe(way !== null);
            expect(way?.filter((each) => !isFree(facts, each)) ?? []).toEqual([]);
            way?.slice(1).forEach((each, i) => expect(childrenOf(frame.nodes[way[i]!]!)).toContain(each));
            const starts = [id];
            for (let at = startIn(frame, id); at !== undefined && !starts.includes(at); at = startIn(frame, at))
              starts.push(at);
            if (starts.every((each) => isFree(facts, each))) expect(way).toEqual(starts);
            const unmet = firstUnmet(frame, facts, starts);
            expect(unmet?.id ?? null).toBe(starts.find((each) => !isFree(facts, each)) ?? null);
            if (!stands) barred += 1;
          }
      }),
      { numRuns: 100 },
    );
    expect(barred).toBeGreaterThan(100);
  });

  test("every combination of their values is told once, that of the launch first", () => {
    fc.assert(
      fc.property(anyFrame(), (frame) => {
        const all = factCombinations(frame).map((facts) => JSON.stringify(facts));
        expect(new Set(all).size).toBe(all.length);
        expect(all).toHaveLength(factsOf(frame).reduce((product, fact) => product * factValues(fact).length, 1));
      }),
      { numRuns: 50 },
    );
  });

  test("what stands in for a node knows for whom, and a node every need above it", () => {
    fc.assert(
      fc.property(anyEdited(), (frame) => {
        for (const [id, node] of Object.entries(frame.nodes)) {
          for (const need of node.needs ?? [])
            if (need.otherwise) expect(standsInFor(frame, need.otherwise)).toContainEqual({ id, need });
          const place = placesOf(frame, id)[0];
          const way = waysTo(frame, id).find((each) => each.at(-1) === place);
          if (!way) continue;
          const above = [...way, id].flatMap((at) => (frame.nodes[at]!.needs ?? []).map((need) => ({ id: at, need })));
          expect(needsAbove(frame, id)).toEqual(above);
        }
      }),
      { numRuns: 100 },
    );
  });
});
