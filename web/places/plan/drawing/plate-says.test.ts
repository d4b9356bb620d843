import fc from "fast-check";
import { applySoundly, childrenOf, isAttached, nodeAt, planLayout, viewOf } from "../../../../core/index.js";
import { anyFrame } from "../../../../core/testing/arbitrary.js";
import { byBand, frameOf, hub, screen, stack, tabbed } from "../../../../core/testing/frames.js";
import { listPlaces } from "../panels/list-places.js";
import { coverSays, plateSays } from "./plate-says.js";

describe("the head of a plate", () => {
  const frame = tabbed(
    { ...byBand("face", { hand: "drawer", lap: "rail" }), keep: "place", back: "visited" },
    {
      c: {
        kind: "pair",
        title: "Places",
        list: "rows",
        detail: "one",
        ...byBand("split", { hand: false, desk: true }),
      },
      rows: screen(),
      one: screen(),
    },
  );
  const head = (id: string, of = frame) => plateSays(of, id, viewOf(of));

  test("says of a hub how it shows from band to band, what its tabs keep, and where Back goes", () => {
    expect(head("home")).toBe("hub · drawer hand, rail lap, rail desk · keeps the place · Back goes through the tabs");
    const plainly = frameOf({
      app: stack(["home"]),
      home: hub(["a", "b"]),
      a: screen({ title: "First" }),
      b: screen(),
    });
    expect(head("home", plainly)).toBe(
      "hub · bar hand, bar lap, bar desk · keeps everything · Back goes to First first",
    );
  });

  test("says of a stack where it starts, and of a pair from where it stands side by side", () => {
    expect(head("aTab")).toBe("stack · starts at A");
    expect(head("c")).toBe("pair · side by side from desk up, one over the other below");
    expect(head("home", { ...frame, bands: [{ id: "hand", from: 0 }] })).toContain("hub · drawer hand ·");
  });
});

test("every plate and every strip of any plan is worded in full", () => {
  fc.assert(
    fc.property(anyFrame(), fc.constantFrom(390, 700, 1200), (frame, width) => {
      const view = viewOf(frame, { width });
      const { plates, covers, cards } = planLayout(frame, { view });
      for (const { id } of plates) {
        const said = plateSays(frame, id, view);
        expect(said.startsWith(nodeAt(frame, id).kind)).toBe(true);
        expect(said).not.toMatch(/undefined|null|\[object/);
      }
      for (const { stack: id } of covers) {
        const holds = cards.filter((card) => card.parent === id && card.covers).map((card) => card.id);
        expect(coverSays(frame, id, holds, view)).toMatch(/^over \S/);
      }
    }),
    { numRuns: 100 },
  );
});

test("a list can go to each place that is offered for it, and there is one wherever anything is chosen", () => {
  fc.assert(
    fc.property(anyFrame(), (frame) => {
      for (const id of Object.keys(frame.nodes).filter((each) => isAttached(frame, each))) {
        const parents = Object.keys(frame.nodes).filter((each) => childrenOf(nodeAt(frame, each)).includes(id));
        for (const parent of id === frame.root ? [null] : parents) {
          const places = listPlaces(frame, { id, parent });
          expect(places.length).toBeGreaterThan(0);
          expect(new Set(places.map(({ value }) => value)).size).toBe(places.length);
          for (const { label, place } of places) {
            expect(label).not.toMatch(/undefined|null/);
            const nodes = { fresh: { kind: "screen" as const } };
            const { parent: into, after } = place;
            const result = applySoundly(frame, { kind: "add", nodes, top: "fresh", parent: into, after });
            expect(result.ok && childrenOf(nodeAt(result.frame, into!)).includes("fresh")).toBe(true);
          }
        }
      }
    }),
    { numRuns: 60 },
  );
});
