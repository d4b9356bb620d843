import fc from "fast-check";
import type { Ease, Motion, MotionShape, Track } from "../frame/parts.js";

const unit = fc.double({ min: 0, max: 1, noNaN: true });
const beyond = fc.double({ min: -0.6, max: 1.6, noNaN: true });

/** A spring that comes to rest within some seconds. */
export const anySpring = () =>
  fc.record(
    {
      mass: fc.double({ min: 0.3, max: 4, noNaN: true }),
      stiffness: fc.double({ min: 30, max: 1500, noNaN: true }),
      damping: fc.double({ min: 6, max: 70, noNaN: true }),
      velocity: fc.double({ min: -15, max: 15, noNaN: true }),
    },
    { requiredKeys: ["mass", "stiffness", "damping"] },
  );

const anyEase = (): fc.Arbitrary<Ease> =>
  fc.oneof(
    fc.constant<Ease>("linear"),
    fc.tuple(unit, beyond, unit, beyond).map((bezier): Ease => ({ bezier })),
    anySpring().map((spring): Ease => ({ spring })),
  );

const anyTrack = (property: Track["property"], low: number, high: number): fc.Arbitrary<Track> =>
  fc
    .record({
      from: fc.double({ min: low, max: high, noNaN: true }),
      to: fc.double({ min: low, max: high, noNaN: true }),
      delay: fc.constantFrom(0, 0, 40, 120),
      ms: fc.integer({ min: 60, max: 500 }),
      ease: anyEase(),
    })
    .map(({ ms, ...track }) => ({
      property,
      ...track,
      ...(typeof track.ease === "string" || !("spring" in track.ease) ? { ms } : {}),
    }));

const anyTracks = (): fc.Arbitrary<Track[]> =>
  fc
    .tuple(
      fc.option(anyTrack("x", -100, 100)),
      fc.option(anyTrack("y", -100, 100)),
      fc.option(anyTrack("scale", 0.5, 1.3)),
      fc.option(anyTrack("opacity", 0, 1)),
      fc.option(anyTrack("turn", -90, 90)),
    )
    .map((tracks) => tracks.filter((track) => track !== null));

export const anyShape = (): fc.Arbitrary<MotionShape> =>
  fc.record({
    incoming: anyTracks(),
    outgoing: anyTracks(),
    above: fc.constantFrom("incoming" as const, "outgoing" as const),
  });

/** A motion of any tracks, back by its mirror or by others. */
export const anyMotion = (): fc.Arbitrary<Motion> =>
  fc.record({
    name: fc.constant("Any"),
    forward: anyShape(),
    back: fc.oneof(fc.constant("mirror" as const), anyShape()),
  });
