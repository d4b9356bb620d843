import fc from "fast-check";
import { builtInMotions } from "../frame/built-in-motions.js";
import { anyMotion } from "../testing/motions.js";
import { motionsAsTokens, readMotionTokens } from "./motion-tokens.js";

const { slip, dissolve } = builtInMotions as Record<"slip" | "dissolve", (typeof builtInMotions)[string]>;
const read = (file: unknown) => readMotionTokens(JSON.stringify(file));

describe("motions as design tokens", () => {
  test("a track is a transition, a spring the curve that is nearest to it", () => {
    const { motion } = JSON.parse(motionsAsTokens([{ id: "slip", motion: slip }]));
    const { $type, $value } = motion.slip.forward.incoming.x;
    expect($type).toBe("transition");
    expect($value.duration.unit).toBe("ms");
    expect($value.duration.value).toBeCloseTo(336.1, 0);
    expect($value.timingFunction).toHaveLength(4);
    expect($value.timingFunction[0]).toBeGreaterThan(0);
  });
  test("what was written is read as it was", () => {
    fc.assert(
      fc.property(anyMotion(), fc.double({ min: 0, max: 1, noNaN: true }), (motion, scrim) => {
        const given = { ...JSON.parse(JSON.stringify(motion)), scrim };
        const { motions, left } = readMotionTokens(motionsAsTokens([{ id: "any", motion: given }]));
        expect(left).toEqual([]);
        expect(motions).toEqual([{ id: "any", motion: given }]);
      }),
      { numRuns: 40 },
    );
  });
  test("a time that another tool has changed counts", () => {
    const file = JSON.parse(motionsAsTokens([{ id: "dissolve", motion: dissolve }]));
    file.motion.dissolve.forward.incoming.opacity.$value.duration = { value: 0.4, unit: "s" };
    const [found] = read(file).motions;
    expect(found?.motion.forward.incoming).toEqual([
      { property: "opacity", from: 0, to: 1, ms: 400, ease: { bezier: [0, 0, 1, 1] } },
    ]);
  });
});

describe("design tokens of another tool", () => {
  test("a transition becomes a motion, also by the names of its parts and the type of its group", () => {
    const { motions, left } = read({
      time: { $type: "duration", calm: { $value: { value: 250, unit: "ms" } } },
      curve: { soft: { $type: "cubicBezier", $value: [0.2, 0, 0, 1] } },
      moves: {
        $type: "transition",
        "page in": {
          $description: "Page in",
          $value: { duration: "{time.calm}", delay: { value: 20, unit: "ms" }, timingFunction: "{curve.soft}" },
        },
      },
      ink: { $type: "color", $value: "#112233" },
    });
    expect(motions).toEqual([
      {
        id: "movesPageIn",
        motion: {
          name: "Page in",
          forward: {
            incoming: [{ property: "opacity", from: 0, to: 1, ms: 250, ease: { bezier: [0.2, 0, 0, 1] }, delay: 20 }],
            outgoing: [],
            above: "incoming",
          },
          back: "mirror",
        },
      },
    ]);
    expect(left).toEqual([
      { pointer: "/time/calm", why: "by itself it moves nothing; a transition that names it is taken" },
      { pointer: "/curve/soft", why: "by itself it moves nothing; a transition that names it is taken" },
      { pointer: "/ink", why: "a color says nothing of a motion" },
    ]);
  });
  test.each([
    [
      "a name that leads round",
      { a: { $type: "transition", $value: "{b}" }, b: { $type: "transition", $value: "{a}" } },
      /no transition/,
    ],
    [
      "a time without a unit",
      { a: { $type: "transition", $value: { duration: 3, timingFunction: [0, 0, 1, 1] } } },
      /no time/,
    ],
    [
      "a curve that goes back in time",
      { a: { $type: "transition", $value: { duration: "3ms", timingFunction: [2, 0, 1, 1] } } },
      /no cubic/,
    ],
  ])("%s is named, and nothing else is lost", (_, tokens, why) => {
    const good = { good: { $type: "transition", $value: { duration: "90ms", timingFunction: [0, 0, 1, 1] } } };
    const { motions, left } = read({ ...tokens, ...good });
    expect(motions.map(({ id }) => id)).toEqual(["good"]);
    expect(left[0]?.why).toMatch(why);
  });
  test("what is no file of tokens says so, whatever it is", () => {
    expect(readMotionTokens("{").left[0]?.why).toMatch(/no JSON/);
    expect(read([1]).left[0]?.why).toMatch(/no object/);
    fc.assert(fc.property(fc.json(), (text) => void readMotionTokens(text)));
  });
  test("names that are no ids, and the same name twice, get ids of their own", () => {
    const token = { $type: "transition", $value: { duration: "90ms", timingFunction: [0, 0, 1, 1] } };
    const { motions } = read({ "9 lives": token, a: { b: token }, "a b": token, äöü: token });
    expect(new Set(motions.map(({ id }) => id)).size).toBe(4);
    for (const { id } of motions) expect(id).toMatch(/^[a-z][A-Za-z0-9]{0,39}$/);
  });
});
