import fc from "fast-check";
import type { Cut, Hinge, Insets, View } from "../frame/view.js";

interface Bounds {
  /** The least width and height; default 1. */
  least?: readonly [number, number];
}

const anyInsets = (): fc.Arbitrary<Insets> => {
  const inset = fc.constantFrom(0, 0, 20, 48);
  return fc.record({ top: inset, right: inset, bottom: inset, left: inset });
};

const anyHinge = (width: number, height: number): fc.Arbitrary<Hinge | undefined> => {
  const size = fc.constantFrom(0, 12, 40);
  return fc.oneof(
    fc.constant(undefined),
    fc.record({ x: fc.nat(Math.floor(width)), size }),
    fc.record({ y: fc.nat(Math.floor(height)), size }),
  );
};

const anyCuts = (width: number): fc.Arbitrary<Cut[]> =>
  fc.array(fc.record({ x: fc.nat(Math.floor(width)), y: fc.nat(40), width: fc.nat(60), height: fc.nat(40) }), {
    maxLength: 2,
  });

/** A view of any size, with all that a device may have of its own, on the first target. */
export const anyView = ({ least: [width, height] = [1, 1] }: Bounds = {}): fc.Arbitrary<Omit<View, "target">> =>
  fc
    .record({ width: fc.integer({ min: width, max: 2000 }), height: fc.integer({ min: height, max: 2000 }) })
    .chain((size) =>
      fc
        .record({
          calm: fc.boolean(),
          rtl: fc.boolean(),
          insets: fc.oneof(fc.constant({ top: 0, right: 0, bottom: 0, left: 0 }), anyInsets()),
          hinge: anyHinge(size.width, size.height),
          cuts: anyCuts(size.width),
        })
        .map(({ hinge, ...rest }) => ({ ...size, ...rest, ...(hinge && { hinge }) })),
    );
