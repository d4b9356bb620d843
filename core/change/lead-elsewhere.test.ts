import fc from "fast-check";
import { applySoundly } from "../edit/apply.js";
import type { Frame } from "../frame/types.js";
import { plainFrame } from "../frame/write.js";
import { waysOut } from "../explore/ways.js";
import { anyFrame } from "../testing/arbitrary.js";
import { frameOf, opening, screen, stack } from "../testing/frames.js";
import { waysGoneWith } from "../explore/ways-gone.js";
import { leadElsewhere } from "./lead-elsewhere.js";

const trips = (): Frame =>
  plainFrame(
    frameOf({
      app: stack(["home", "box", "trip", "bag"]),
      home: screen({
        body: { kind: "list", rows: 9, row: "Trip {n}", opens: "trip", param: "trip" },
        actions: [opening("one"), opening("bag")],
      }),
      box: stack(["one", "two"]),
      one: screen({ actions: [opening("two")] }),
      two: screen(),
      trip: screen({ path: "/trips/:trip" }),
      bag: screen({ path: "/bags/:bag" }),
    }),
  );
const without = (frame: Frame, ids: readonly string[], to: string): Frame => {
  const edits = [...leadElsewhere(frame, ids, to), ...ids.map((id) => ({ kind: "remove", id }) as const)];
  const applied = applySoundly(frame, { kind: "batch", edits });
  if (!applied.ok) throw new Error(JSON.stringify(applied.faults));
  return applied.frame;
};

test("the ways that go with what is taken out are those from what stays", () => {
  const named = (ids: string[]) => waysGoneWith(trips(), ids).map(({ from, to }) => `${from} ${to}`);
  expect(named(["box"])).toEqual(["home one"]);
  expect(named(["trip"])).toEqual(["home trip"]);
  expect(named(["two"])).toEqual(["one two"]);
  expect(named(["trip", "bag"])).toEqual(["home trip", "home bag"]);
});

test("they lead elsewhere with what the new target asks for", () => {
  const { nodes } = without(trips(), ["trip"], "bag");
  expect(nodes.home).toMatchObject({ body: { opens: "bag", param: "bag" } });
  const led = without(trips(), ["bag", "box"], "trip").nodes.home;
  expect(led?.kind === "screen" && led.actions?.map((action) => action.do)).toEqual([
    { kind: "open", to: "trip", params: { trip: "1" } },
    { kind: "open", to: "trip", params: { trip: "1" } },
  ]);
});

test("led elsewhere, no way of what stays is lost, whatever is taken out", () => {
  fc.assert(
    fc.property(anyFrame(), fc.nat(), fc.nat(), (frame, which, where) => {
      const plain = plainFrame(frame);
      const ids = Object.keys(plain.nodes).filter((id) => id !== plain.root && plain.nodes[id]!.kind === "screen");
      const id = ids[which % ids.length];
      const others = ids.filter((other) => other !== id);
      const to = others[where % others.length];
      fc.pre(id !== undefined && to !== undefined);
      const remove = { kind: "remove", id } as const;
      // the last of a container cannot be taken out at all
      fc.pre(applySoundly(plain, remove).ok);
      const applied = applySoundly(plain, { kind: "batch", edits: [...leadElsewhere(plain, [id], to), remove] });
      if (!applied.ok) throw new Error(JSON.stringify(applied.faults));
      for (const other of ids.filter((each) => each !== id)) {
        const count = (of: Frame) => waysOut(other, of.nodes[other]!).length;
        expect(count(applied.frame)).toBe(count(plain));
      }
    }),
  );
});
