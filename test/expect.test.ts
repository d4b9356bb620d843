import { expect as slow } from "@jest/globals";
import fc from "fast-check";
import { quickly } from "./expect.js";

const quick = quickly(slow as unknown as typeof expect);

const passes = (ask: () => unknown): boolean => {
  try {
    ask();
    return true;
  } catch {
    return false;
  }
};

const few = fc.constantFrom<unknown>(
  0,
  -0,
  1,
  NaN,
  "",
  "1",
  null,
  undefined,
  true,
  [],
  [undefined],
  {},
  { a: undefined },
);
const some = fc.oneof(
  few,
  fc.array(few, { maxLength: 3 }),
  fc.dictionary(fc.constantFrom("a", "b"), few),
  fc.anything(),
);
const takesNone = ["toBeNull", "toBeUndefined", "toBeDefined"];
/** Two values of which the second is often the same, or nearly so. */
const pairs = fc.oneof(
  fc.tuple(some, some),
  fc.tuple(fc.anything(), fc.anything()),
  some.map((value) => [value, value]),
  fc.tuple(some, few).map(([value, more]) => [[value, more], [value]]),
  fc.jsonValue().map((value) => [value, JSON.parse(JSON.stringify(value))]),
);
const names = [
  ...["toBe", "toEqual", "toStrictEqual", "toMatchObject", "toBeNull", "toBeUndefined", "toBeDefined", "toContain"],
  ...["toBeGreaterThan", "toBeGreaterThanOrEqual", "toBeLessThan", "toBeLessThanOrEqual", "toHaveLength", "toMatch"],
];

test("what passes here passes by Jest's own matchers, and nothing else", () => {
  const met = { passed: 0, failed: 0 };
  fc.assert(
    fc.property(pairs, fc.constantFrom(...names), fc.boolean(), ([actual, expected], name, isNot) => {
      const ask = (how: typeof expect) => () => {
        const asked = isNot ? how(actual).not : how(actual);
        Reflect.apply(Reflect.get(asked, name) as () => unknown, asked, takesNone.includes(name) ? [] : [expected]);
      };
      const here = passes(ask(quick));
      if (here !== passes(ask(slow as unknown as typeof expect))) throw new Error(`${name} comes out otherwise`);
      met[here ? "passed" : "failed"] += 1;
    }),
    { numRuns: 5000 },
  );
  expect(Math.min(met.passed, met.failed)).toBeGreaterThan(500);
});

test("what fails says so in Jest's words, at the line that asked", () => {
  try {
    quick({ a: 1 }).toEqual({ a: 2 });
  } catch (error) {
    const { message, stack } = error as Error;
    expect(message).toContain("Expected");
    expect(stack?.split("\n").find((line) => line.trim().startsWith("at "))).toContain("expect.test.ts");
    return;
  }
  throw new Error("nothing failed");
});

test("takes asymmetric matchers, and what is to throw or to be settled", async () => {
  quick({ a: "some text" }).toEqual({ a: quick.stringContaining("text") });
  quick(() => {
    throw new Error("no");
  }).toThrow("no");
  await quick(Promise.resolve(7)).resolves.toBe(7);
  await quick(Promise.reject(new Error("no"))).rejects.toThrow("no");
});
