import type { Ease, Track } from "../frame/parts.js";
import { shareAt, trackMs } from "../motion/path.js";

/** A number as it is written: short, and near enough. */
export const plainNumber = (value: number, digits = 4): string => String(Number(value.toFixed(digits)) + 0);

/** How far the written points of a spring may lie from it, as a share of the travel. */
const near = 0.002;
const counts = [12, 20, 32, 48, 72, 108, 160] as const;

/** A track's course at evenly spread moments, as many as are needed for straight lines between them to be near enough. */
const pointsOf = (track: Pick<Track, "ease" | "ms">): number[] => {
  const ms = trackMs(track);
  const at = (share: number): number => (share >= 1 ? 1 : shareAt(track, share * ms));
  for (const count of counts) {
    const points = Array.from({ length: count + 1 }, (_, i) => at(i / count));
    const isNear = points
      .slice(1)
      .every((value, i) => Math.abs((value + (points[i] ?? 0)) / 2 - at((i + 0.5) / count)) < near);
    if (isNear || count === counts.at(-1)) return points;
  }
  return [0, 1];
};

/** An ease as an easing function of CSS (W3C, CSS Easing Functions Level 2): a spring as `linear()` with points along it. */
export const timingOf = (track: Pick<Track, "ease" | "ms">): string => {
  const { ease } = track;
  if (ease === "linear") return "linear";
  if ("bezier" in ease) return `cubic-bezier(${ease.bezier.map((value) => plainNumber(value)).join(", ")})`;
  if ("steps" in ease) return `steps(${ease.steps})`;
  return `linear(${pointsOf(track)
    .map((value) => plainNumber(value))
    .join(", ")})`;
};

/** The cubic Bézier that is nearest to an ease, for forms that know nothing else: found by trying ever finer around the best. */
export const bezierNear = (track: Pick<Track, "ease" | "ms">): [number, number, number, number] => {
  const { ease } = track;
  if (ease === "linear") return [0, 0, 1, 1];
  if ("bezier" in ease) return [...ease.bezier];
  const ms = trackMs(track);
  const shares = Array.from({ length: 24 }, (_, i) => (i + 0.5) / 24);
  const wanted = shares.map((share) => shareAt(track, share * ms));
  /** The sum of the squares it is off by; once that is more than another's, it counts no further. */
  const off = (bezier: [number, number, number, number], most: number): number => {
    const tried: { ease: Ease; ms: number } = { ease: { bezier }, ms: 1 };
    let sum = 0;
    for (let i = 0; i < shares.length && sum < most; i += 1)
      sum += (shareAt(tried, shares[i] ?? 0) - (wanted[i] ?? 0)) ** 2;
    return sum;
  };
  let best: [number, number, number, number] = [0.2, 0.7, 0.3, 1];
  let least = off(best, Infinity);
  for (let step = 0.2; step > 0.004; step /= 2)
    for (let isBetter = true; isBetter;) {
      isBetter = false;
      for (let i = 0; i < 4; i += 1)
        for (const by of [-step, step]) {
          const next: [number, number, number, number] = [...best];
          next[i] = i % 2 === 0 ? Math.min(1, Math.max(0, (next[i] ?? 0) + by)) : (next[i] ?? 0) + by;
          const sum = off(next, least);
          if (sum < least - 1e-9) [best, least, isBetter] = [next, sum, true];
        }
    }
  const [x1, y1, x2, y2] = best;
  const rounded = (value: number): number => Number(value.toFixed(3));
  return [rounded(x1), rounded(y1), rounded(x2), rounded(y2)];
};
