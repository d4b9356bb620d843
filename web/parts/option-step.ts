/** Which option an arrow key leads to, round the ends of the list; -1 is none of them. Null: it is no such key. */
export const steppedTo = (key: string, at: number, count: number): number | null => {
  const step = key === "ArrowDown" ? 1 : key === "ArrowUp" ? -1 : 0;
  if (step === 0) return null;
  if (count === 0) return -1;
  if (at < 0) return step > 0 ? 0 : count - 1;
  return (at + step + count) % count;
};
