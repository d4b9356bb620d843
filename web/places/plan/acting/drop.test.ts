import { walkedPoints } from "../../../../core/testing/points.js";
import fc from "fast-check";
import { childrenOf, nodeAt, parentsOf, planLayout, subtreeOf } from "../../../../core/index.js";
import { anyFrame } from "../../../../core/testing/arbitrary.js";
import { lookAtDrop, placeAt, sayDrop } from "./drop.js";
import { inMark, outMark, pegsOf, pullSpot } from "../drawing/pegs.js";
import { smallestUnder, within } from "../drawing/under.js";

/** A plan, a node of it with one of its containers, and a point that lies on it or a little beside. */
const anyDrag = () =>
  fc.tuple(anyFrame(), fc.nat(1000), fc.nat(1000), fc.nat(1000)).map(([frame, n, right, down]) => {
    const ids = Object.keys(frame.nodes).filter((id) => id !== frame.root);
    const id = ids[n % ids.length]!;
    const layout = planLayout(frame);
    const point = { x: (right / 1000) * (layout.width + 40) - 20, y: (down / 1000) * (layout.height + 40) - 20 };
    return { frame, layout, chosen: { id, parent: parentsOf(frame, id)[0] ?? null }, point };
  });

describe("where something that is dragged would go", () => {
  test("is a container that is no part of it, behind one of that container's own, and what is lit is under the pointer", () => {
    const met = new Set<string>();
    fc.assert(
      fc.property(anyDrag(), ({ frame, layout, chosen, point }) => {
        const { to, after, area } = placeAt(frame, layout, chosen.id, point);
        met.add(to === null ? "tray" : nodeAt(frame, to).kind);
        expect(after === null || (to !== null && childrenOf(nodeAt(frame, to)).includes(after))).toBe(true);
        if (to === null) return;
        expect(nodeAt(frame, to).kind).not.toBe("screen");
        expect(subtreeOf(frame, chosen.id)).not.toContain(to);
        expect(within(area, point)).toBe(true);
      }),
      { numRuns: 400 },
    );
    expect([...met].sort()).toEqual(["hub", "pair", "stack", "tray"]);
  });

  test("is said in words, and either it goes there, or why it does not, with the frame left as it is", () => {
    let refused = 0;
    fc.assert(
      fc.property(anyDrag(), ({ frame, layout, chosen, point }) => {
        const before = JSON.stringify(frame);
        const place = placeAt(frame, layout, chosen.id, point);
        const look = lookAtDrop(walkedPoints(frame), chosen, place);
        const said = sayDrop(frame, place, look);
        expect(said.length).toBeGreaterThan(0);
        for (const each of said) expect(each).not.toMatch(/undefined|null|\[object|^$/);
        expect(JSON.stringify(frame)).toBe(before);
        if (look.consequences.faults.length) {
          refused += 1;
          expect([said[0]!.startsWith("not here: "), look.after]).toEqual([true, frame]);
        } else if (place.to !== null) expect(childrenOf(nodeAt(look.after, place.to))).toContain(chosen.id);
        else expect(parentsOf(look.after, chosen.id)).not.toContain(chosen.parent);
      }),
      { numRuns: 200 },
    );
    expect(refused).toBeGreaterThan(5);
  });
});

test("what lies under a point is the smallest thing there", () => {
  fc.assert(
    fc.property(anyDrag(), ({ layout, point }) => {
      const found = smallestUnder(layout, point);
      const there = [layout.cards, layout.teeth, layout.panes, layout.plates]
        .flat()
        .filter((box) => within(box, point))
        .map((box) => box.width * box.height);
      expect(found === null).toBe(there.length === 0);
      if (found) expect(found.width * found.height).toBe(Math.min(...there));
    }),
    { numRuns: 300 },
  );
});

describe("the pegs of what is chosen", () => {
  test("bear each mark once where they lead from, and the same mark at the other end", () => {
    let ends = 0;
    fc.assert(
      fc.property(anyDrag(), ({ frame, layout, chosen }) => {
        const pegs = pegsOf(frame, layout, chosen);
        const own = pegs.filter(({ filled }) => filled);
        expect(new Set(own.map(({ mark }) => mark)).size).toBe(own.length);
        for (const { mark, way, filled } of pegs) {
          const [first] = own.filter((each) => each.mark === mark);
          expect(first?.way).toBe(way);
          if (!filled) ends += 1;
        }
        // no two lie on one another
        const spots = own.map(({ x, y }) => `${x} ${y}`);
        expect(new Set(spots).size).toBe(spots.length);
        const pull = pullSpot(frame, layout, chosen);
        const { kind } = nodeAt(frame, chosen.id);
        if (kind !== "screen" && kind !== "hub") expect(pull).toBeNull();
        if (pull) expect(spots).not.toContain(`${pull.x} ${pull.y}`);
      }),
      { numRuns: 300 },
    );
    expect(ends).toBeGreaterThan(100);
  });

  test("are numbers for the ways out and letters for the ways in, however many", () => {
    expect([0, 1, 11].map(outMark)).toEqual(["1", "2", "12"]);
    expect([0, 25, 26, 27].map(inMark)).toEqual(["a", "z", "a1", "b1"]);
    const marks = Array.from({ length: 200 }, (_, i) => inMark(i));
    expect(new Set(marks).size).toBe(marks.length);
  });
});
