/** The four numbers of a cubic Bézier easing: x1, y1, x2, y2; both x within 0..1. */
export type BezierPoints = readonly [number, number, number, number];

/** How far along a curve is at a share of the time, and how fast it goes there, in shares of the way a share of the time. */
export interface Curve {
  at(share: number): number;
  speed(share: number): number;
}

/** Evenly spread shares of the time whose parameters are worked out beforehand. */
const known = 48;
/** A parameter is found once its x is so near. */
const near = 1e-13;
const mostTurns = 12;

/**
 * A cubic Bézier from 0,0 to 1,1, as CSS Easing Functions Level 1 (W3C), 2.2, defines it. The parameter whose x is the share
 * of the time is guessed between two that are known, then found by Halley's method, which triples the right digits each turn; where
 * that would leave the span it is in, as beside a level tangent, the span is halved instead.
 */
export const bezierCurve = ([x1, y1, x2, y2]: BezierPoints): Curve => {
  // the polynomials a u³ + b u² + c u
  const [cx, cy] = [3 * x1, 3 * y1];
  const [bx, by] = [3 * (x2 - x1) - cx, 3 * (y2 - y1) - cy];
  const [ax, ay] = [1 - cx - bx, 1 - cy - by];
  const isEven = x1 === y1 && x2 === y2;

  const solve = (x: number, guess: number, from: number, to: number): number => {
    let low = from;
    let high = to;
    let u = guess;
    for (let turn = 0; turn < mostTurns; turn += 1) {
      const off = ((ax * u + bx) * u + cx) * u - x;
      if (off < near && off > -near) return u;
      const slope = (3 * ax * u + 2 * bx) * u + cx;
      const next = u - (off * slope) / (slope * slope - off * (3 * ax * u + bx));
      if (off > 0) high = u;
      else low = u;
      u = next > low && next < high ? next : (low + high) / 2;
    }
    return halved(x, low, high);
  };
  /** Where the tangent is level the span is halved as often as numbers allow. */
  const halved = (x: number, from: number, to: number): number => {
    let low = from;
    let high = to;
    let u = (low + high) / 2;
    while (u > low && u < high) {
      if (((ax * u + bx) * u + cx) * u < x) low = u;
      else high = u;
      u = (low + high) / 2;
    }
    return u;
  };
  const us = new Float64Array(known + 1);
  us[known] = 1;
  for (let i = 1; i < known; i += 1) us[i] = solve(i / known, i / known, 0, 1);
  const parameter = (x: number): number => {
    const place = x * known;
    const i = Math.min(known - 1, Math.floor(place));
    const from = us[i] ?? 0;
    const to = us[i + 1] ?? 1;
    return solve(x, from + (to - from) * (place - i), from, to);
  };
  const y = (u: number): number => ((ay * u + by) * u + cy) * u;
  return {
    at: (share) => {
      if (share <= 0) return 0;
      if (share >= 1) return 1;
      return isEven ? share : y(parameter(share));
    },
    speed: (share) => {
      if (share < 0 || share > 1) return 0;
      const u = share <= 0 ? 0 : share >= 1 ? 1 : parameter(share);
      const run = (3 * ax * u + 2 * bx) * u + cx;
      // beside an upright tangent it is as fast as over the next thousandth of the time
      if (run < 1e-3) {
        const [before, after] = [Math.max(0, share - 5e-4), Math.min(1, share + 5e-4)];
        return (y(parameter(after)) - y(parameter(before))) / (after - before);
      }
      return ((3 * ay * u + 2 * by) * u + cy) / run;
    },
  };
};
