// Text is measured where it is drawn; the plan is laid out before that, and must have room for it. So a letter is taken to be
// as wide as those of a text with many wide ones, px at the size it is drawn.

/** A letter of a card's title, at 12.5 px and semibold. */
export const titleLetter = 7;
/** A letter of a plate's name, at 14 px and bold. */
export const nameLetter = 8.2;
/** A letter of what is said beside, at 11.5 px. */
export const smallLetter = 6.4;

/** In how many lines a text stands in a width, px: parted between words, and inside a word that is longer than a line. */
export const linesIn = (text: string, width: number, letter: number): number => {
  const most = Math.max(1, Math.floor(width / letter));
  if (text.length <= most) return 1;
  let lines = 1;
  let used = 0;
  for (const word of text.split(" ")) {
    let left = word.length;
    if (used > 0 && used + 1 + left <= most) {
      used += 1 + left;
      continue;
    }
    if (used > 0) lines += 1;
    for (; left > most; left -= most) lines += 1;
    used = left;
  }
  return lines;
};
