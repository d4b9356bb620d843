import fc from "fast-check";
import type { ScreenAddress } from "./addresses.js";
import { Matcher } from "./matcher.js";
import { readPattern } from "../frame/pattern.js";
import { shadowsOf } from "./shadows.js";

const address = (text: string, whole: string[] = []): ScreenAddress => {
  const read = readPattern(text);
  if (!read.ok) throw new Error(read.reason);
  return { screen: text, pattern: read.pattern, old: false, whole };
};
const shadows = (...all: ScreenAddress[]) =>
  shadowsOf(all).map(({ winner, loser, address }) => [winner.screen, loser.screen, address]);

test("patterns that share an address are told with it, the one it leads to first", () => {
  expect(shadows(address("/a/:x"), address("/a/new"), address("/b/:x"))).toEqual([["/a/new", "/a/:x", "/a/new"]]);
  expect(shadows(address("/a/*"), address("/a/:x/c"))).toEqual([["/a/:x/c", "/a/*", "/a/1/c"]]);
  expect(shadows(address("/:x/b"), address("/a/:y"))).toEqual([["/a/:y", "/:x/b", "/a/b"]]);
  expect(shadows(address("/a/b/:x?"), address("/a/:y"))).toEqual([["/a/b/:x?", "/a/:y", "/a/b"]]);
});
test("a param that must be digits meets no word", () => {
  expect(shadows(address("/a/:x", ["x"]), address("/a/new"))).toEqual([]);
  expect(shadows(address("/a/:x", ["x"]), address("/a/7"))).toEqual([["/a/7", "/a/:x", "/a/7"]]);
});
test("every address that is told is matched by both, and leads to the winner", () => {
  const segment = fc.constantFrom("a", "b", ":x", ":y", "1");
  const pattern = fc
    .tuple(fc.array(segment, { minLength: 1, maxLength: 4 }), fc.constantFrom("", "/*", "/:z?"))
    .map(([parts, end]) => `/${parts.join("/")}${end}`)
    .filter((text) => readPattern(text).ok);
  let told = 0;
  fc.assert(
    fc.property(fc.uniqueArray(fc.tuple(pattern, fc.subarray(["x", "y", "z"])), { maxLength: 12 }), (given) => {
      const taken = new Set<string>();
      const all = given.flatMap(([text, whole]) => {
        const each = address(text, whole);
        if (each.pattern.shapes.some((shape) => taken.has(shape))) return [];
        for (const shape of each.pattern.shapes) taken.add(shape);
        return [each];
      });
      for (const shadow of shadowsOf(all)) {
        told += 1;
        const both = new Matcher(
          [shadow.loser, shadow.winner].map((value) => ({ value, pattern: value.pattern, whole: value.whole })),
        );
        const alone = new Matcher([{ value: 0, pattern: shadow.loser.pattern, whole: shadow.loser.whole }]);
        expect(both.match(shadow.address)?.value).toBe(shadow.winner);
        expect(alone.match(shadow.address)).not.toBeNull();
      }
    }),
    { numRuns: 500 },
  );
  expect(told).toBeGreaterThan(500);
});
