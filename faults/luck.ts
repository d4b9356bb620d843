/** Chance that can be had again by its seed (a linear congruential generator, from 0 up to 1). */
export const luckOf = (seed: number): (() => number) => {
  let state = seed >>> 0;
  return () => (state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0) / 2 ** 32;
};
