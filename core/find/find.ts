import { lastOf } from "../frame/sure.js";
/** Something that can be found by a few letters. */
export interface Findable {
  /** What it is known by: unique among what is looked through. */
  key: string;
  label: string;
  /** Said behind the label, more quietly; it is looked through too. */
  says: string;
  /** Other words it is looked for by, which are not shown. */
  also?: string;
  /** The key that does it, where there is one. */
  keys?: string;
}

/** Something found, and which letters of its label answered. */
export interface Found<T extends Findable = Findable> {
  item: T;
  /** Pairs of first and last + 1, in the label. */
  lit: readonly (readonly [number, number])[];
}

interface Prepared<T extends Findable> {
  item: T;
  label: string;
  says: string;
  /** The first letters of the label's words. */
  initials: string;
  /** Where each of these stands in the label. */
  starts: readonly number[];
  /** The label has as many letters as it is looked through by: only then can its letters be lit. */
  isPlain: boolean;
}

/** A list made ready to be looked through. */
export interface Finder<T extends Findable> {
  prepared: readonly Prepared<T>[];
}

const fold = (text: string): string =>
  text
    .normalize("NFKD")
    .replaceAll(/\p{Mark}/gu, "")
    .toLowerCase();

const wordStarts = /(?<![\p{Letter}\p{Number}])[\p{Letter}\p{Number}]|(?<=\p{Lowercase})\p{Uppercase}/gu;

/** A finder over a list of things, with what it needs of each worked out once. */
export const createFinder = <T extends Findable>(items: readonly T[]): Finder<T> => ({
  prepared: items.map((item) => {
    const label = fold(item.label);
    const isPlain = label.length === item.label.length;
    const starts = [...(isPlain ? item.label : label).matchAll(wordStarts)].map(({ index }) => index);
    return {
      item,
      label,
      says: fold(`${item.says} ${item.also ?? ""}`),
      initials: starts.map((at) => label[at]).join(""),
      starts,
      isPlain,
    };
  }),
});

/** How one word of what was typed is answered: the lower the better; null when it is not. */
interface Answer {
  cost: number;
  lit: [number, number][];
}

const nothing: [number, number][] = [];

/** The letters of a word one after another in the label, with others between: the fewer apart the better. */
const scattered = (label: string, word: string): Answer | null => {
  const lit: [number, number][] = [];
  let at = -1;
  let apart = 0;
  for (const letter of word) {
    const next = label.indexOf(letter, at + 1);
    if (next < 0) return null;
    if (at >= 0) apart += next - at - 1;
    if (lit.at(-1)?.[1] === next) lastOf(lit)[1] = next + 1;
    else lit.push([next, next + 1]);
    at = next;
  }
  return apart > 3 * word.length ? null : { cost: 8 + apart / 4, lit };
};

const answerOf = ({ label, says, initials, starts }: Prepared<Findable>, word: string): Answer | null => {
  const at = label.indexOf(word);
  if (at === 0) return { cost: label.length === word.length ? 0 : 1, lit: [[0, word.length]] };
  if (at > 0) {
    const start = starts.find((each) => label.startsWith(word, each));
    if (start !== undefined) return { cost: 2 + start / 100, lit: [[start, start + word.length]] };
  }
  const first = word.length > 1 ? initials.indexOf(word) : -1;
  if (first >= 0)
    return { cost: 3 + first / 10, lit: starts.slice(first, first + word.length).map((each) => [each, each + 1]) };
  if (at > 0) return { cost: 4 + at / 100, lit: [[at, at + word.length]] };
  const said = says.indexOf(word);
  if (said >= 0) return { cost: said === 0 || says[said - 1] === " " || says[said - 1] === "/" ? 5 : 6, lit: nothing };
  return word.length > 1 ? scattered(label, word) : null;
};

/** What lies this far back among the recent ones counts no more. */
const mostRecent = 12;

/**
 * The items that answer what was typed, the best first: each of its words in the label from its start, from a word's start,
 * by initials or anywhere, else in what is said of it. `recent` are keys, the last used first: they come before others
 * that answer as well, and alone while nothing is typed, with the rest behind them in their order.
 */
export const find = <T extends Findable>(
  { prepared }: Finder<T>,
  text: string,
  recent: readonly string[] = [],
  most = 12,
): Found<T>[] => {
  const words = fold(text)
    .split(/\s+/)
    .filter((word) => word !== "");
  const used = new Map(recent.slice(0, mostRecent).map((key, i) => [key, i]));
  const ranked: { each: Prepared<T>; cost: number; lit: [number, number][]; i: number }[] = [];
  prepared.forEach((each, i) => {
    let cost = 0;
    const lit: [number, number][] = [];
    for (const word of words) {
      const answer = answerOf(each, word);
      if (!answer) return;
      cost += answer.cost;
      lit.push(...answer.lit);
    }
    const last = used.get(each.item.key);
    if (last !== undefined) cost -= words.length === 0 ? 100 - last : 1.5 - last / 10;
    ranked.push({ each, cost: cost + (words.length ? each.label.length / 1000 : 0), lit, i });
  });
  return ranked
    .sort((a, b) => a.cost - b.cost || a.i - b.i)
    .slice(0, most)
    .map(({ each, lit }) => ({ item: each.item, lit: each.isPlain ? lit.sort((a, b) => a[0] - b[0]) : nothing }));
};
