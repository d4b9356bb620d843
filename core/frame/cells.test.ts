import fc from "fast-check";
import { anyVaried, bands, eachView, targets, valuesOf } from "../testing/varied.js";
import { frameOf, hub, screen, stack } from "../testing/frames.js";
import { type Cell, inCells, inEveryView, saidOf, slotsOf } from "./cells.js";
import { equal } from "./equal.js";
import type { Frame, HubNode, Node } from "./types.js";

/** What a node says of a slot in every view. */
const everywhere = (frame: Frame, node: Node, slot: string): unknown[] =>
  eachView.map((at) => saidOf(frame, node, slot, at) ?? "unsaid");

const anyChange = () =>
  anyVaried().chain((frame) => {
    const ids = Object.keys(frame.nodes);
    return fc.record({
      frame: fc.constant(frame),
      id: fc.constantFrom(...ids),
      which: fc.nat(1000),
      what: fc.nat(1000),
      cell: fc.record({ target: fc.constantFrom(...targets), band: fc.constantFrom(...bands), short: fc.boolean() }),
    });
  });

test("a cell that is set changes in its own views alone, and no other slot anywhere", () => {
  fc.assert(
    fc.property(anyChange(), ({ frame, id, which, what, cell: { short, ...place } }) => {
      const node = frame.nodes[id]!;
      const slots = slotsOf(node.kind);
      const { slot, form } = slots[which % slots.length]!;
      const values = valuesOf(slot, form);
      const value = values[what % values.length];
      // a default may be said or not: it is the same
      const held = slots.find((each) => each.slot === slot)!.fallback;
      const cell: Cell = { ...place, ...(short && { short: true as const }) };
      const next = inCells(frame, node, slot, [cell], value);
      const band = bands.indexOf(place.band);
      for (const at of eachView) {
        const was = saidOf(frame, node, slot, at);
        const is = saidOf(frame, next, slot, at);
        const isCell = at.target === cell.target && at.band === band;
        const tall = saidOf(frame, node, slot, { ...at, short: false });
        // low views that were as the cell was go on being so; where it was not said, they say what it says now
        const follows = isCell && at.short && !short && (equal(was ?? held, tall ?? held) || was === undefined);
        if ((isCell && at.short === short) || follows) expect([slot, at, is]).toEqual([slot, at, value]);
        else expect([slot, at, is ?? held]).toEqual([slot, at, was ?? held]);
      }
      for (const other of slots)
        if (other.slot !== slot)
          expect([other.slot, everywhere(frame, next, other.slot)]).toEqual([
            other.slot,
            everywhere(frame, node, other.slot),
          ]);
      for (const entry of next.vary ?? []) {
        expect(entry.on ?? entry.from ?? entry.to ?? entry.short).toBeDefined();
        expect(Object.keys(entry.set).length).toBeGreaterThan(0);
      }
      // set once more it says the same in as many entries
      expect(inCells(frame, next, slot, [cell], value)).toEqual(next);
    }),
    { numRuns: 120 },
  );
});

describe("a list that is left by setting cells", () => {
  const frame: Frame = {
    ...frameOf({ app: stack(["home"]), home: hub(["a"]), a: screen() }),
    targets: [
      { id: "key", label: "Key" },
      { id: "swipe", label: "Swipe" },
    ],
    short: 480,
  };
  const home = frame.nodes.home as HubNode;
  const put = (node: Node, band: string, on: readonly string[], value: unknown, short?: true): Node =>
    inCells(
      frame,
      node,
      "face",
      on.map((target) => ({ band, target, ...(short && { short }) })),
      value,
    );
  const both = ["key", "swipe"];

  test("says by width what holds for all targets, then what a target has of its own", () => {
    const wide = put(put(put(home, "lap", both, "rail"), "desk", both, "panel"), "hand", ["key"], "drawer");
    expect(wide).toMatchObject({ face: "drawer", vary: expect.anything() });
    expect(put(put(home, "lap", both, "rail"), "desk", both, "rail").vary).toEqual([
      { from: "lap", set: { face: "rail" } },
    ]);
    const rail = put(put(home, "lap", both, "rail"), "desk", both, "panel");
    expect(rail.vary).toEqual([
      { from: "lap", set: { face: "rail" } },
      { from: "desk", set: { face: "panel" } },
    ]);
    expect(put(rail, "desk", ["key"], "drawer").vary).toHaveLength(3);
  });
  test("is gone when all cells are the same again", () => {
    const once = put(home, "lap", both, "rail");
    expect(put(once, "lap", both, "bar").vary).toBeUndefined();
    expect(inEveryView(frame, once, "face", "rail")).toEqual({ ...home, face: "rail" });
  });
  test("has what holds in low views last, and goes on doing so where the rest changes", () => {
    const low = put(home, "hand", both, "rail", true);
    expect(low.vary).toEqual([{ to: "hand", short: true, set: { face: "rail" } }]);
    const next = put(low, "hand", ["key"], "top");
    expect(saidOf(frame, next, "face", { target: "key", band: 0, short: true })).toBe("rail");
    expect(saidOf(frame, next, "face", { target: "key", band: 0, short: false })).toBe("top");
  });
  test("says nothing of low views that are right already", () => {
    const wide = put(put(home, "lap", both, "rail"), "desk", both, "panel");
    expect(put(wide, "hand", both, "rail", true).vary?.at(-1)).toEqual({
      to: "hand",
      short: true,
      set: { face: "rail" },
    });
  });
  test("says together what holds in the same views", () => {
    const labels = inCells(
      frame,
      put(put(home, "lap", both, "rail"), "desk", both, "rail"),
      "labels",
      [
        { band: "lap", target: "key" },
        { band: "lap", target: "swipe" },
        { band: "desk", target: "key" },
        { band: "desk", target: "swipe" },
      ],
      "never",
    );
    expect(labels.vary).toEqual([{ from: "lap", set: { face: "rail", labels: "never" } }]);
  });
});

test("what is said of the app as a whole is set in cells in the same way", () => {
  const frame: Frame = { ...frameOf({ app: stack(["a", "b"]), a: screen(), b: screen() }), address: { lost: "a" } };
  const cell: Cell = { target: "touch", band: "desk" };
  const said = (of: Frame, slot: string) =>
    [0, 1, 2].map((band) => saidOf(of, of, slot, { target: "touch", band, short: false }));
  const lost = inCells(frame, frame, "lost", [cell], "b");
  expect([said(lost, "lost"), lost.address, lost.vary]).toEqual([
    ["a", "a", "b"],
    { lost: "a" },
    [{ from: "desk", set: { lost: "b" } }],
  ]);
  const sized = inCells(lost, lost, "theme.sizes.header", [cell], 80);
  expect(said(sized, "theme.sizes.header")).toEqual([undefined, undefined, 80]);
  expect(sized.vary).toEqual([{ from: "desk", set: { lost: "b", theme: { sizes: { header: 80 } } } }]);
  expect(inEveryView(sized, sized, "lost", "b")).toMatchObject({ address: { lost: "b" } });
});
