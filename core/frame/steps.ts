/** Work in steps: who does it may let others in between. */
export type Steps<T> = Generator<void, T, void>;

/** Does all steps at once. */
export const atOnce = <T>(steps: Steps<T>): T => {
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
  }
};
