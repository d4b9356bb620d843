import fc from "fast-check";
import { atOnce, pointer } from "../core/index.js";
import { anyFrame } from "../core/testing/arbitrary.js";
import { placesIn } from "../core/testing/places.js";
import { faultsFrom } from "./faults.js";
import { formFaults, joiOptions } from "./form.js";
import { readFrame, readFrameValue } from "./read.js";
import { frame as frameSchema } from "./schema.js";

const told = (faults: readonly { pointer: string; expected: string }[]): string[] =>
  faults.map(({ pointer: at, expected }) => `${at} ${expected}`).sort();

describe("the form of a frame", () => {
  test("looked at part by part has the faults that it has as a whole", () => {
    const wrong = fc.constantFrom<unknown>(7, "", null, [], {}, true, { kind: "screen" }, -1.5, "x".repeat(5000));
    fc.assert(
      fc.property(anyFrame(), fc.array(fc.tuple(fc.nat(), wrong), { minLength: 1, maxLength: 3 }), (frame, spoils) => {
        const value = structuredClone(frame) as object;
        for (const [at, by] of spoils) {
          const places = placesIn(value);
          const [where, key] = places[at % places.length]!;
          Reflect.set(where, key, by);
        }
        const whole = faultsFrom(frameSchema.validate(value, joiOptions).error);
        expect(told(atOnce(formFaults(value)))).toEqual(told(whole));
      }),
      { numRuns: 300 },
    );
  });

  const many = (count: number) => ({
    format: "handy-frame/2",
    name: "Many",
    root: "app",
    nodes: {
      app: { kind: "stack", children: Array.from({ length: count }, (_, i) => `s${i}`) },
      ...Object.fromEntries(Array.from({ length: count }, (_, i) => [`s${i}`, { kind: "screen", title: 7 }])),
    },
  });

  test.each([
    ["a value of another type in each of thousands of nodes", many(3000), 100, "/nodes/s0/title"],
    [
      "thousands of keys that are none",
      { ...many(0), ...Object.fromEntries(Array.from({ length: 50_000 }, (_, i) => [`x${i}`, 1])) },
      100,
      "/x0",
    ],
    [
      "a list of hundreds of thousands",
      { ...many(0), nodes: { app: { kind: "stack", children: Array.from({ length: 300_000 }, (_, i) => i) } } },
      100,
      "/nodes/app/children/0",
    ],
    [
      "a hundred thousand ids that are none",
      { ...many(0), nodes: Object.fromEntries(Array.from({ length: 100_000 }, (_, i) => [`A b${i}`, 1])) },
      100,
      pointer("nodes", "A b0"),
    ],
  ])("with %s is told by its first hundred faults", (_name, value, count, first) => {
    const read = readFrame(JSON.stringify(value));
    expect(read).toMatchObject({ ok: false, more: true });
    if (read.ok) return;
    expect(read.faults).toHaveLength(count);
    expect(read.faults.map(({ pointer: at }) => at)).toContain(first);
  });

  test("with as many faults of meaning is told by the first hundred of these", () => {
    const value = many(3000);
    for (const [id, node] of Object.entries(value.nodes))
      if (id !== "app") Object.assign(node, { title: id, path: "no address" });
    const read = readFrameValue(value);
    expect(read).toMatchObject({ ok: false, more: true });
    expect(!read.ok && read.faults).toHaveLength(100);
  });
});
