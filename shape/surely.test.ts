import fc from "fast-check";
import Joi from "joi";
import { anyFrame } from "../core/testing/arbitrary.js";
import { placesIn } from "../core/testing/places.js";
import { node } from "./schema.js";
import { surelyOf } from "./surely.js";

const surely = surelyOf(node);

test("what is read quickly and is sure has no fault of form, and nearly all that is right is sure", () => {
  const wrong = fc.constantFrom<unknown>(
    ...[7, "", null, [], {}, true, { kind: "screen" }, -1.5, "x".repeat(5000), 1e300, Number.NaN, undefined],
    ...["constructor", "loop", "screen", ["a", "a"], ["", 1], 0.5, "#fff", "/a", [0.9, 0.5], [{ on: ["hand"] }]],
  );
  const met = { right: 0, sure: 0, spoiled: 0 };
  fc.assert(
    fc.property(anyFrame(), fc.array(fc.tuple(fc.nat(), wrong), { maxLength: 6 }), (frame, spoils) => {
      const nodes = structuredClone(frame.nodes) as object;
      for (const [at, by] of spoils) {
        const places = placesIn(nodes);
        const [where, key] = places[at % places.length]!;
        Reflect.set(where, key, by);
      }
      for (const value of Object.values(nodes)) {
        const isRight = node.validate(value, { convert: false }).error === undefined && value !== undefined;
        const isSure = surely(value);
        if (isSure && !isRight) throw new Error(`sure of ${JSON.stringify(value)}`);
        if (isRight) met.right += 1;
        else met.spoiled += 1;
        if (isSure) met.sure += 1;
      }
    }),
    { numRuns: 400 },
  );
  expect(met.sure / met.right).toBeGreaterThan(0.85);
  expect(met.spoiled).toBeGreaterThan(300);
});

test.each<[string, Joi.Schema, unknown]>([
  ["a rule", Joi.string().lowercase(), "ab"],
  ["a kind of value", Joi.date(), 1],
  ["a flag", Joi.array().sparse(), [undefined]],
  ["an order of its own", Joi.array().items(Joi.number()).sort({ order: "ascending" }), [2, 1]],
  ["a test that is turned round", Joi.string().pattern(/a/, { invert: true }), "a"],
  ["keys that go together", Joi.object({ a: Joi.any(), b: Joi.any() }).and("a", "b"), { a: 1 }],
  [
    "a limit that is said elsewhere",
    Joi.object({ a: Joi.number(), b: Joi.number().max(Joi.ref("a")) }),
    { a: 1, b: 2 },
  ],
])("of a form with %s that is not known here nothing is sure", (_name, schema, value) => {
  expect(surelyOf(schema)(value)).toBe(false);
});
