/** What a match ends in. */
export interface Leaf<T> {
  value: T;
  /** The params, in the order of their segments. */
  names: readonly string[];
  /** Which of them must be digits; null when none. */
  whole: readonly number[] | null;
}

/**
 * What may follow after some segments. It holds the branches behind its words itself, by the hash of their letters: a match
 * of a large table waits for memory more than for anything else, so there is as little between two branches as can be.
 */
export interface Branch<T> {
  /** The word that leads here; empty behind a name, and for the root. */
  word: string;
  hash: number;
  /** The branches behind words, each at its hash or behind others there; null while there are none. A power of two long. */
  slots: (Branch<T> | undefined)[] | null;
  words: number;
  /** How many letters the longest of its words has. */
  longest: number;
  name: Branch<T> | null;
  rest: Leaf<T> | null;
  leaf: Leaf<T> | null;
}

/** The hash of letters with one more. */
export const hashed = (hash: number, code: number): number => (Math.imul(hash, 31) + code) | 0;

const hashOf = (word: string): number => {
  let hash = 0;
  for (let i = 0; i < word.length; i += 1) hash = hashed(hash, word.charCodeAt(i));
  return hash;
};

/** A branch of the tree with nothing in it yet. `word` is its literal segment; empty where it stands for none. */
export const newBranch = <T>(word = ""): Branch<T> => ({
  word,
  hash: hashOf(word),
  slots: null,
  words: 0,
  longest: 0,
  name: null,
  rest: null,
  leaf: null,
});

/** Whether the letters of a text from `from` on are those of a word: for words as short as these a loop is faster than a call. */
const isAt = (text: string, from: number, word: string): boolean => {
  for (let i = 0; i < word.length; i += 1) if (text.charCodeAt(from + i) !== word.charCodeAt(i)) return false;
  return true;
};

/** The branch behind the letters of a text from `from` to `to`, whose hash is that of `hashed` over them, from 0. */
export const behind = <T>(
  slots: readonly (Branch<T> | undefined)[],
  text: string,
  from: number,
  to: number,
  hash: number,
): Branch<T> | undefined => {
  const mask = slots.length - 1;
  for (let at = hash & mask; ; at = (at + 1) & mask) {
    const found = slots[at];
    if (found === undefined) return undefined;
    if (found.hash === hash && found.word.length === to - from && isAt(text, from, found.word)) return found;
  }
};

/** The branch behind a word. */
export const behindWord = <T>(slots: readonly (Branch<T> | undefined)[], word: string): Branch<T> | undefined =>
  behind(slots, word, 0, word.length, hashOf(word));

const put = <T>(slots: (Branch<T> | undefined)[], branch: Branch<T>): void => {
  const mask = slots.length - 1;
  let at = branch.hash & mask;
  while (slots[at] !== undefined) at = (at + 1) & mask;
  slots[at] = branch;
};

const empty = <T>(length: number): (Branch<T> | undefined)[] =>
  new Array<Branch<T> | undefined>(length).fill(undefined);

/** The branch behind a word, made when it is not there. */
export const branchAt = <T>(branch: Branch<T>, word: string): Branch<T> => {
  const known = branch.slots && behindWord(branch.slots, word);
  if (known) return known;
  const made = newBranch<T>(word);
  let slots = branch.slots ?? empty<T>(2);
  if (branch.words * 2 >= slots.length) {
    const old = slots;
    slots = empty<T>(old.length * 2);
    for (const other of old) if (other) put(slots, other);
  }
  put(slots, made);
  branch.slots = slots;
  branch.words += 1;
  branch.longest = Math.max(branch.longest, word.length);
  return made;
};
