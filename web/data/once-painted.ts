/** In a window that is not seen nothing is painted: then it is done so late, ms. */
const unseen = 200;

/**
 * Does something so many ms after what has just been changed is painted: what takes a while and is not seen keeps nobody
 * waiting for what is. Answers what calls it off.
 */
export const oncePainted = (act: () => void, after = 0): (() => void) => {
  let timer = setTimeout(() => {
    cancelAnimationFrame(frame);
    act();
  }, unseen + after);
  const frame = requestAnimationFrame(() => {
    clearTimeout(timer);
    timer = setTimeout(act, after);
  });
  return () => {
    clearTimeout(timer);
    cancelAnimationFrame(frame);
  };
};
