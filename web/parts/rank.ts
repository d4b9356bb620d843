/** A text as it is compared: small letters, without marks on them. */
export const plainText = (text: string): string =>
  text
    .normalize("NFKD")
    .replaceAll(/\p{Mark}/gu, "")
    .toLowerCase();

/** How well something called `label`, of which `says` is said, answers a text: lower is better, below 0 not at all. Words may stand in any order. */
const rankOf = (label: string, says: string, wanted: string): number => {
  if (label === wanted) return 0;
  if (label.startsWith(wanted)) return 1;
  if (label.includes(` ${wanted}`)) return 2;
  if (label.includes(wanted)) return 3;
  if (says.includes(wanted)) return 4;
  const all = `${label} ${says}`;
  const words = wanted.split(/\s+/);
  if (!words.every((word) => all.includes(word))) return -1;
  return all.split(/[^\p{Letter}\p{Number}]+/u).filter((word) => words.includes(word)).length === words.length ? 5 : 6;
};

/** Those that answer a text, the best first; all of them, in their order, while nothing is typed. */
export const ranked = <T extends { label: string; says?: string | undefined }>(
  all: readonly T[],
  text: string,
): T[] => {
  const wanted = plainText(text.trim());
  if (wanted === "") return [...all];
  return all
    .map((each) => ({ each, rank: rankOf(plainText(each.label), plainText(each.says ?? ""), wanted) }))
    .filter(({ rank }) => rank >= 0)
    .sort((a, b) => a.rank - b.rank)
    .map(({ each }) => each);
};
