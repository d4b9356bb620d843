import { sure } from "../core/index.js";
/** One figure of the report. */
export interface Figure {
  name: string;
  value: number;
  unit: string;
  /** What it is compared with in the same run, and how often its value goes into that. */
  against?: { name: string; value: number; ratio: number };
  /** What is wanted, and whether it was reached. */
  goal?: string;
  met?: boolean;
}

/**
 * Milliseconds of one call: the least of rounds that each run long enough to be told apart. What comes on top of the least
 * is the machine's: a shared one stands still at times for longer than a round.
 */
export const timeOf = (work: () => unknown, { rounds = 9, atLeastMs = 40, warmMs = 250 } = {}): number => {
  // until the compiler has settled: what is measured is the steady state
  for (const until = performance.now() + warmMs; performance.now() < until;) work();
  let calls = 1;
  for (;;) {
    const began = performance.now();
    for (let i = 0; i < calls; i += 1) work();
    const took = performance.now() - began;
    if (took >= atLeastMs || calls >= 1 << 22) break;
    calls = Math.ceil(calls * Math.min(8, Math.max(1.5, atLeastMs / Math.max(took, 0.01))));
  }
  const times: number[] = [];
  for (let round = 0; round < rounds; round += 1) {
    const began = performance.now();
    for (let i = 0; i < calls; i += 1) work();
    times.push((performance.now() - began) / calls);
  }
  return Math.min(...times);
};

/** Milliseconds of one call of each of several, by turns: what slows the machine down for a while slows all of them. */
export const timesOf = (works: readonly (() => unknown)[], turns = 15): number[] => {
  const least = works.map(() => Infinity);
  for (let turn = 0; turn < turns; turn += 1)
    for (const [i, work] of works.entries())
      least[i] = Math.min(sure(least[i]), timeOf(work, { rounds: 3, atLeastMs: 10, warmMs: turn === 0 ? 250 : 20 }));
  return least;
};

export const quantile = (values: readonly number[], q: number): number => {
  const sorted = [...values].sort((a, b) => a - b);
  return sure(sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))]);
};

/** The slope of a line through points on logarithmic axes: how cost grows with size. */
export const exponentOf = (points: readonly (readonly [number, number])[]): number => {
  const logs = points.map(([x, y]) => [Math.log(x), Math.log(y)] as const);
  const mean = (pick: 0 | 1) => logs.reduce((sum, point) => sum + point[pick], 0) / logs.length;
  const [mx, my] = [mean(0), mean(1)];
  return logs.reduce((sum, [x, y]) => sum + (x - mx) * (y - my), 0) / logs.reduce((sum, [x]) => sum + (x - mx) ** 2, 0);
};
