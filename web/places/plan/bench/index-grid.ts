/** What stands in one cell of the index: a label with its value under it. */
export interface IndexCell {
  label: string;
  value: string;
}

/** px a letter takes at most in the index, and what stands around it. */
const letter = 7.2;
const around = 20;

const widthOf = ({ label, value }: IndexCell): number => Math.max(label.length, value.length) * letter + around;

/** How wide each column is that holds every so-many-th cell, px. */
const columnsIn = (cells: readonly IndexCell[], count: number): number[] =>
  Array.from({ length: count }, (_, column) =>
    Math.max(...cells.filter((_cell, i) => i % count === column).map(widthOf)),
  );

/** In how many columns the cells stand so that none is cut off: rows as few as can be, and as even. */
export const indexColumns = (cells: readonly IndexCell[], width: number): number => {
  for (let rows = 1; rows < cells.length; rows += 1) {
    const count = Math.ceil(cells.length / rows);
    const needed = columnsIn(cells, count).reduce((sum, each) => sum + each, 0);
    if (needed <= width) return count;
  }
  return 1;
};

/** A text no longer than that many letters, with a sign for what is left out: the end says more of an address, of all else the front. */
export const brief = (text: string, most = 24): string => {
  if (text.length <= most) return text;
  return text.startsWith("/") ? `…${text.slice(1 - most)}` : `${text.slice(0, most - 1)}…`;
};

/**
 * Which groups stand open: those opened last, as many as there is room for beside one another; else the first. They keep
 * the order of the index.
 */
export const openIn = <G extends { id: string; width: number }>(
  groups: readonly G[],
  opened: readonly string[],
  room: number,
  most = 3,
): readonly G[] => {
  const there = opened.flatMap((id) => groups.find((group) => group.id === id) ?? []);
  const wanted = there.length > 0 ? there : groups.slice(0, 1);
  let left = room;
  const fit = wanted.filter(({ width }, i) => {
    if (i > 0 && width > left) return false;
    left -= width;
    return true;
  });
  const shown = new Set(fit.slice(0, most));
  return groups.filter((group) => shown.has(group));
};
