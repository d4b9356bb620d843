import fc from "fast-check";

/**
 * Any character that is not half of a surrogate pair, the first plane as often as all others. `unit: "binary"` of fast-check
 * has the same ones, and makes a table of all of Unicode for it in every file that asks, which takes 1.5 s.
 */
const anyCharacter = fc
  .oneof(fc.integer({ min: 0, max: 0xd7ff }), fc.integer({ min: 0xe000, max: 0x10ffff }))
  .map((point) => String.fromCodePoint(point));

/** A text of any characters. */
export const anyText = (length: { minLength?: number; maxLength?: number } = {}): fc.Arbitrary<string> =>
  fc.string({ ...length, unit: anyCharacter });
