import fc from "fast-check";
import { anyFrame } from "../testing/arbitrary.js";
import { createFinder, find, type Findable } from "./find.js";
import { findablesOf } from "./findables.js";

const letters = fc.string({ minLength: 1, maxLength: 14, unit: fc.constantFrom(..."abcPlot é ÜB-_/09 ") });
const anyItems = (): fc.Arbitrary<Findable[]> =>
  fc
    .array(fc.record({ label: letters, says: letters }), { minLength: 1, maxLength: 20 })
    .map((all) => all.map((each, i) => ({ ...each, key: `k${i}` })));
const plain = (text: string): string =>
  text
    .normalize("NFKD")
    .replaceAll(/\p{Mark}/gu, "")
    .toLowerCase();

test("what is found has the letters that were typed, in order, in its label or in what is said of it", () => {
  const holds = (text: string, word: string): boolean => {
    let at = -1;
    return [...word].every((letter) => (at = text.indexOf(letter, at + 1)) >= 0);
  };
  let found = 0;
  fc.assert(
    fc.property(anyItems(), letters, (items, typed) => {
      const words = plain(typed).split(/\s+/).filter(Boolean);
      for (const { item } of find(createFinder(items), typed, [], 100)) {
        found += 1;
        for (const word of words) expect(holds(plain(item.label), word) || plain(item.says).includes(word)).toBe(true);
      }
    }),
    { numRuns: 500 },
  );
  expect(found).toBeGreaterThan(200);
});

test("what holds a word as it was typed is found, whatever the case and the marks", () => {
  fc.assert(
    fc.property(anyItems(), fc.nat(100), fc.nat(12), fc.nat(12), (items, n, from, size) => {
      const item = items[n % items.length]!;
      const word = plain(item.label).split(/\s+/).find(Boolean);
      if (!word) return;
      const part = word.slice(from % word.length).slice(0, 1 + size);
      const keys = find(createFinder(items), part.toUpperCase(), [], 100).map((each) => each.item.key);
      expect(keys).toContain(item.key);
    }),
    { numRuns: 500 },
  );
});

test("the lit letters stand in the label, in order, and none is lit twice where one word was typed", () => {
  fc.assert(
    fc.property(anyItems(), letters, (items, typed) => {
      for (const { item, lit } of find(createFinder(items), typed, [], 100)) {
        const words = typed.trim().split(/\s+/);
        lit.forEach(([from, to], i) => {
          expect(from).toBeGreaterThanOrEqual(0);
          expect(to).toBeGreaterThan(from);
          expect(to).toBeLessThanOrEqual(item.label.length);
          const next = lit[i + 1];
          if (next && words.length === 1) expect(next[0]).toBeGreaterThanOrEqual(to);
        });
      }
    }),
    { numRuns: 500 },
  );
});

test("the order of the words does not matter, fewer are shown from the top, and what was used last comes first while nothing is typed", () => {
  fc.assert(
    fc.property(anyItems(), letters, fc.nat(20), (items, typed, most) => {
      const finder = createFinder(items);
      const keys = (text: string, count = 100, recent: string[] = []) =>
        find(finder, text, recent, count).map(({ item }) => item.key);
      const turned = typed.split(/\s+/).reverse().join(" ");
      expect(keys(turned)).toEqual(keys(typed));
      expect(keys(typed, most)).toEqual(keys(typed).slice(0, most));
      const last = items.at(-1)!.key;
      expect(keys("", 100, [last])[0]).toBe(last);
      expect(keys("")).toEqual(items.map(({ key }) => key));
    }),
    { numRuns: 300 },
  );
});

test("everything of a frame that can be found is found by its whole label, and by no key twice", () => {
  fc.assert(
    fc.property(anyFrame(), (frame) => {
      const items = findablesOf(frame);
      const finder = createFinder(items);
      expect(new Set(items.map(({ key }) => key)).size).toBe(items.length);
      for (const item of items) {
        const keys = find(finder, item.label, [], items.length).map((each) => each.item.key);
        expect(keys).toContain(item.key);
      }
    }),
    { numRuns: 50 },
  );
});
