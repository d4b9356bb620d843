import fc from "fast-check";
import { applySoundly } from "../edit/apply.js";
import { equal } from "../frame/equal.js";
import type { Frame } from "../frame/types.js";
import { anyFrame } from "../testing/arbitrary.js";
import { alike, sameKind } from "./alike.js";
import { isSlot } from "../frame/cells.js";
import { isSetHere, setElsewhere, settings, sharedSettings, valueOf, valueSays } from "./settings.js";

const anyChoice = () =>
  fc
    .tuple(anyFrame(), fc.array(fc.nat(1000), { minLength: 1, maxLength: 6 }))
    .map(([frame, dice]): [Frame, string[]] => {
      const ids = Object.keys(frame.nodes);
      return [frame, [...new Set(dice.map((n) => ids[n % ids.length]!))]];
    });

test("a setting of several nodes tells each of them once, under the value that holds there, the most common first", () => {
  fc.assert(
    fc.property(anyChoice(), ([frame, ids]) => {
      for (const { setting, held, own } of sharedSettings(frame, ids)) {
        expect(held.flatMap((each) => each.ids).sort()).toEqual([...ids].sort());
        held.forEach(({ value, ids: same }, i) => {
          for (const id of same) expect(valueOf(frame, id, setting)).toEqual(value);
          for (const other of held.slice(i + 1)) {
            expect(equal(other.value, value)).toBe(false);
            expect(other.ids.length).toBeLessThanOrEqual(same.length);
          }
          expect(valueSays(frame, setting, value)).not.toMatch(/undefined|null|\[object|^$/);
        });
        expect(own).toEqual(ids.filter((id) => isSetHere(frame.nodes[id]!, setting.key)));
      }
    }),
    { numRuns: 200 },
  );
});

test("what can be chosen can be set: then it holds on all of them, and it is told of each that it is set elsewhere", () => {
  let set = 0;
  fc.assert(
    fc.property(anyChoice(), fc.nat(20), ([frame, ids], n) => {
      for (const { setting } of sharedSettings(frame, ids)) {
        const { input, key } = setting;
        const values = { choice: [] as unknown[], check: [true, false], whole: [2, 7], text: ["some"], shown: [] };
        if (input.sort === "choice") values.choice = input.options.flatMap(({ value }) => value || []);
        const choices = values[input.sort];
        if (choices.length === 0) continue;
        const value = choices[n % choices.length];
        let now = frame;
        for (const id of ids) {
          const result = applySoundly(
            now,
            isSlot(now.nodes[id]!.kind, key)
              ? { kind: "vary", node: id, slot: key, value }
              : { kind: "set", node: id, key, value },
          );
          if (!result.ok) throw new Error(`${key} of ${id} cannot be ${String(value)}`);
          now = result.frame;
        }
        for (const id of ids) expect(valueOf(now, id, setting)).toEqual(value);
        const told = setElsewhere(now, key).flatMap((each) => each.ids);
        expect(told.sort()).toEqual(
          Object.keys(now.nodes)
            .filter((id) => isSetHere(now.nodes[id]!, key))
            .sort(),
        );
        set += 1;
      }
    }),
    { numRuns: 200 },
  );
  expect(set).toBeGreaterThan(1000);
});

test("nodes that are alike are so whichever of them is asked, and of one kind", () => {
  fc.assert(
    fc.property(anyChoice(), ([frame, ids]) => {
      for (const id of ids) {
        const parts = alike(frame, {
          id,
          parent: Object.keys(frame.nodes).find((each) => holds(frame, each, id)) ?? null,
        });
        const all = parts.map((part) => part.id);
        for (const part of parts) expect(alike(frame, part).map((each) => each.id)).toEqual(all);
        const kind = sameKind(frame, { id, parent: null }).map((part) => part.id);
        for (const each of all) if (each !== frame.root) expect(kind).toContain(each);
      }
    }),
    { numRuns: 100 },
  );
});

const holds = (frame: Frame, parent: string, id: string): boolean => {
  const node = frame.nodes[parent]!;
  if (node.kind === "pair") return node.list === id || node.detail === id;
  return node.kind !== "screen" && node.children.includes(id);
};

test("every setting has words of its own, and stands once", () => {
  expect(new Set(settings.map(({ label }) => label)).size).toBe(settings.length);
  expect(new Set(settings.map(({ key }) => key)).size).toBe(settings.length);
});
