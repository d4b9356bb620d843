/** A word with what stands behind it. */
interface Slot<T> {
  word: string;
  hash: number;
  value: T;
}

/** The hash of letters with one more. */
export const hashed = (hash: number, code: number): number => (Math.imul(hash, 31) + code) | 0;

const hashOf = (word: string): number => {
  let hash = 0;
  for (let i = 0; i < word.length; i += 1) hash = hashed(hash, word.charCodeAt(i));
  return hash;
};

/** Whether the letters of a text from `from` on are those of a word: for words as short as these a loop is faster than a call. */
const isAt = (text: string, from: number, word: string): boolean => {
  for (let i = 0; i < word.length; i += 1) if (text.charCodeAt(from + i) !== word.charCodeAt(i)) return false;
  return true;
};

/**
 * Words by their letters, found in a text without cutting them out of it. A Map would want each word as a string of its
 * own, and making and hashing those was most of what a match took.
 */
export class Words<T> {
  private slots: (Slot<T> | undefined)[] = [undefined, undefined];
  private size = 0;
  /** How many letters the longest word has. */
  longest = 0;

  /** What stands behind a word; made when there is nothing yet. */
  take(word: string, make: () => T): T {
    const hash = hashOf(word);
    const found = this.get(word, 0, word.length, hash);
    if (found !== undefined) return found;
    if (this.size * 2 >= this.slots.length) this.grow();
    const slot = { word, hash, value: make() };
    this.put(slot);
    this.size += 1;
    this.longest = Math.max(this.longest, word.length);
    return slot.value;
  }

  /** What stands behind the letters of a text from `from` to `to`, whose hash is that of `hashed` over them, from 0. */
  get(text: string, from: number, to: number, hash: number): T | undefined {
    const { slots } = this;
    const mask = slots.length - 1;
    for (let at = hash & mask; ; at = (at + 1) & mask) {
      const slot = slots[at];
      if (slot === undefined) return undefined;
      if (slot.hash === hash && slot.word.length === to - from && isAt(text, from, slot.word)) return slot.value;
    }
  }

  /** What stands behind a word. */
  of(word: string): T | undefined {
    return this.get(word, 0, word.length, hashOf(word));
  }

  private put(slot: Slot<T>): void {
    const mask = this.slots.length - 1;
    let at = slot.hash & mask;
    while (this.slots[at] !== undefined) at = (at + 1) & mask;
    this.slots[at] = slot;
  }

  private grow(): void {
    const old = this.slots;
    this.slots = new Array<Slot<T> | undefined>(old.length * 2).fill(undefined);
    for (const slot of old) if (slot) this.put(slot);
  }
}
