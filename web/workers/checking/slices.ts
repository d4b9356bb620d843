/** A slice takes about so long, ms: in between messages are read. */
const slice = 40;
const [fewest, most] = [20, 20_000];

/** Lets messages be read. */
export const breathe = (ms = 0): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/** Does something in slices until it is done, or `goesOn`, asked after each, says no. */
export const inSlices = async (advance: (steps: number) => boolean, goesOn: () => boolean): Promise<void> => {
  let steps = 200;
  for (let isMore = true; isMore;) {
    const from = performance.now();
    isMore = advance(steps);
    const took = performance.now() - from;
    steps = Math.max(fewest, Math.min(most, Math.round((steps * slice) / Math.max(took, 1))));
    await breathe();
    if (!goesOn()) return;
  }
};
