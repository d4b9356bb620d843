import fc from "fast-check";
import { builtInMotions } from "../frame/built-in-motions.js";
import type { Motion, Track } from "../frame/parts.js";
import { anyMotion, anyShape } from "../testing/motions.js";
import { measure } from "./measure.js";
import { pathFrom, trackPath } from "./path.js";
import { sample } from "./sample.js";
import { mirror } from "./shape.js";

const fade = (from: number, to: number, delay = 0): Track => ({
  property: "opacity",
  from,
  to,
  ms: 100,
  ease: "linear",
  ...(delay && { delay }),
});
const slide = (from: number, to: number): Track => ({ property: "x", from, to, ms: 300, ease: "linear" });
const motion = (incoming: Track[], outgoing: Track[], back: Motion["back"] = "mirror"): Motion => ({
  name: "Test",
  forward: { incoming, outgoing, above: "incoming" },
  back,
});

describe("what a motion comes to", () => {
  test("a cross-fade lets a quarter of the background through at its middle", () => {
    const { bare } = measure(motion([fade(0, 1)], [fade(1, 0)]));
    expect(bare.share).toBeCloseTo(0.25, 9);
    expect(bare.at).toBeCloseTo(50, 3);
  });
  test("what is faded out before the next is faded in leaves nothing but background", () => {
    expect(measure(motion([fade(0, 1, 100)], [fade(1, 0)])).bare).toEqual({ share: 1, at: 100 });
  });
  test("a slide that pushes its neighbour out leaves none", () => {
    const pushing = motion([slide(100, 0)], [slide(0, -100)]);
    expect(measure(pushing).bare).toEqual({ share: 0, at: 0 });
    expect(measure(pushing, "back").bare).toEqual({ share: 0, at: 0 });
    expect(measure(pushing)).toMatchObject({ ms: 300, settle: 300, overshoot: 0 });
    expect(measure(pushing).peakSpeed).toBeCloseTo(1000 / 300, 9);
  });
  test("a layer that is turned is as wide as its cosine", () => {
    const turning = motion(
      [{ property: "opacity", from: 0, to: 0, ms: 200, ease: "linear" }],
      [{ property: "turn", from: 60, to: 60, ms: 200, ease: "linear" }],
    );
    expect(measure(turning).bare.share).toBeCloseTo(0.5, 9);
  });
  test("a curve that goes beyond its end, and one that is steepest in its middle", () => {
    const beyond: Track = { property: "x", from: 100, to: 0, ms: 200, ease: { bezier: [0.3, 0, 0.4, 1.6] } };
    const looks = Array.from({ length: 2001 }, (_, i) => trackPath(beyond).at(i / 10));
    expect(measure(motion([beyond], [])).overshoot).toBeCloseTo(-Math.min(...looks) / 100, 5);
  });
  test("steps have no speed, and take their last at the end", () => {
    const steps: Track = { property: "x", from: 0, to: 100, ms: 100, delay: 20, ease: { steps: 4 } };
    expect([0, 20, 44, 46, 119, 120].map((t) => trackPath(steps).at(t))).toEqual([0, 0, 0, 25, 75, 100]);
    expect(measure(motion([steps], [])).peakSpeed).toBe(0);
  });
  test("a spring has settled by its end, an ease beside it may last longer", () => {
    const spring: Track = {
      property: "y",
      from: 100,
      to: 0,
      ease: { spring: { mass: 1, stiffness: 400, damping: 40 } },
    };
    const { ms, settle } = measure(motion([spring, { ...fade(0, 1), ms: 900 }], []));
    expect(ms).toBe(900);
    expect(settle).toBeCloseTo(trackPath(spring).end, 9);
  });
});

describe("the laws of motions", () => {
  test("the mirror of a mirror is the motion", () => {
    fc.assert(fc.property(anyShape(), (shape) => expect(mirror(mirror(shape))).toEqual(shape)));
  });
  test("back by the mirror ends where forward began", () => {
    fc.assert(
      fc.property(anyShape(), (forward) => {
        const given: Motion = { name: "Any", forward, back: "mirror" };
        const [began, ended] = [sample(given, "forward", -1), sample(given, "back", 1e6)];
        expect(ended.incoming).toEqual(began.outgoing);
        expect(ended.outgoing).toEqual(began.incoming);
      }),
    );
  });
  test("a track begins at its from and is within a thousandth of its to at its end", () => {
    fc.assert(
      fc.property(anyShape(), ({ incoming }) => {
        for (const track of incoming) {
          const path = trackPath(track);
          expect(path.at(0)).toBeCloseTo(track.from, 9);
          const isSpring = track.ease !== "linear" && "spring" in track.ease;
          const near = Math.abs(track.to - track.from) * 0.001 + 1e-9;
          if (isSpring) expect(Math.abs(path.at(path.end - 1e-6) - track.to)).toBeLessThan(near * 1.01 + 1e-4);
          expect(path.at(path.end)).toBe(track.to);
        }
      }),
    );
  });
  test("a sample is the same each time, whatever was asked before", () => {
    fc.assert(
      fc.property(anyMotion(), fc.array(fc.integer({ min: 0, max: 900 }), { minLength: 2 }), (given, times) => {
        const once = times.map((t) => sample(given, "back", t));
        const again = times.toReversed().map((t) => sample(structuredClone(given), "back", t));
        expect(again.toReversed()).toEqual(once);
      }),
    );
  });
  test("what takes over at any time goes on from where it is, as fast as it goes, and ends at its own end", () => {
    fc.assert(
      fc.property(anyShape(), fc.double({ min: 0, max: 600, noNaN: true }), ({ incoming }, at) => {
        for (const track of incoming) {
          const was = trackPath(track);
          const next = pathFrom(
            { ...track, from: track.to, to: track.from },
            { value: was.at(at), speed: was.speed(at) },
          );
          const near = Math.max(1e-9, Math.abs(was.speed(at)) * 1e-9);
          expect(Math.abs(next.at(0) - was.at(at))).toBeLessThan(near);
          if (next.end > 0) expect(Math.abs(next.speed(0) - was.speed(at))).toBeLessThan(near + 1e-6);
          expect(next.at(next.end + 1) - track.from).toBe(0);
          // and no jump anywhere on the way
          const most = 1 + Math.abs(was.speed(at)) + 40 * Math.abs(track.to - track.from);
          for (let t = 0; t < Math.min(next.end, 800); t += 4)
            expect(Math.abs(next.at(t + 0.001) - next.at(t))).toBeLessThan(most);
        }
      }),
    );
  });
});

test("no built-in motion lets the background flash through, but the dissolve that is made of it", () => {
  const bare = Object.entries(builtInMotions).flatMap(([id, each]) =>
    (["forward", "back"] as const).flatMap((toward) =>
      measure(each, toward).bare.share > 0.02 ? [`${id} ${toward}`] : [],
    ),
  );
  expect(bare).toEqual(["dissolve forward", "dissolve back"]);
});

test("every built-in motion is over within half a second", () => {
  for (const each of Object.values(builtInMotions)) expect(measure(each).ms).toBeLessThan(500);
});
