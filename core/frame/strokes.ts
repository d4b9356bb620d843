import { equal } from "./equal.js";

/** A value laid over some places of a row, from one to another, both painted. */
export interface Stroke {
  first: number;
  last: number;
  value: unknown;
}

/** The strokes that make one row of another, and how many there are; null where it cannot be. */
type Painted = readonly Stroke[] | null;

/**
 * The fewest strokes, each laid over those before it, that make `row` of what is `under` it. A place without a value
 * (undefined) takes no stroke. Of two ways with as many strokes the one whose strokes run on to the end is taken. Null where
 * a place would have to lose its value.
 */
export const strokesOver = (row: readonly unknown[], under: readonly unknown[]): Painted => {
  const known = new Map<string, Painted>();
  // `cover`: the place whose value the whole stretch was painted with; -1 for what lies under
  const paint = (first: number, end: number, cover: number): Painted => {
    let at = first;
    while (at < end && equal(row[at], cover < 0 ? under[at] : row[cover])) at += 1;
    if (at === end) return [];
    if (row[at] === undefined) return null;
    const key = `${at} ${end} ${cover}`;
    const before = known.get(key);
    if (before !== undefined) return before;
    let best: Painted = null;
    // on to the end first, then no further than need be: what is right already is left to what lies under
    for (const last of [end - 1, ...Array.from({ length: end - 1 - at }, (_, i) => at + i)]) {
      const [inside, after] = [paint(at + 1, last + 1, at), paint(last + 1, end, cover)];
      if (!inside || !after || (best && inside.length + after.length + 1 >= best.length)) continue;
      best = [{ first: at, last, value: row[at] }, ...inside, ...after];
    }
    known.set(key, best);
    return best;
  };
  return paint(0, row.length, -1);
};
