/** Room for numbers that grows as they come. */
const grown = <T extends Int32Array | Uint16Array>(numbers: T, least: number): T => {
  if (numbers.length >= least) return numbers;
  const Kind = numbers.constructor as new (length: number) => T;
  const larger = new Kind(Math.max(least, Math.ceil(numbers.length * 1.25)));
  larger.set(numbers);
  return larger;
};

/** So full a table may be before it is made larger: more, and looking into it takes long. */
const fullest = 0.7;

/** A number that is spread well over the slots of a table, of some numbers. */
const hashOf = (numbers: Int32Array, from: number, length: number): number => {
  let hash = 0x811c9dc5;
  for (let i = from; i < from + length; i += 1) {
    hash = Math.imul(hash ^ (numbers[i] ?? 0), 0x85ebca6b);
    hash ^= hash >>> 13;
  }
  return Math.imul(hash, 0xc2b2ae35) >>> 7;
};

/**
 * States as numbers in a row, each told from all others: the number of its shape, which says how many there are, then of what
 * lies in its places. Before them stands which state it is. Beside each are kept the state it was first come to from, by which
 * choice there, and with how many taps.
 */
export class PackedStates {
  /** The numbers of all states, one state after another. */
  numbers = new Int32Array(4096);
  private starts = new Int32Array(1024);
  private parents = new Int32Array(1024);
  private choices = new Uint16Array(1024);
  private taps = new Uint16Array(1024);
  /** Where the numbers of a state begin, by what they are; 0 for none. */
  private table = new Int32Array(2048);
  private end = 0;
  count = 0;

  /** Where the numbers of a state begin. */
  startOf(state: number): number {
    return this.starts[state] ?? 0;
  }

  shapeOf(state: number): number {
    return this.numbers[this.startOf(state)] ?? 0;
  }

  /** The state that this one was first come to from; less than 0 where the walk began in it. */
  parentOf(state: number): number {
    return this.parents[state] ?? 0;
  }

  choiceOf(state: number): number {
    return this.choices[state] ?? 0;
  }

  tapsOf(state: number): number {
    return this.taps[state] ?? 0;
  }

  /** Bytes that the states take up, with the room that is not filled yet. */
  get bytes(): number {
    return [this.numbers, this.starts, this.parents, this.choices, this.taps, this.table].reduce(
      (sum, { byteLength }) => sum + byteLength,
      0,
    );
  }

  /** Where in the table a state stands, or would. */
  private slotOf(given: Int32Array, from: number, length: number): number {
    const { table, numbers } = this;
    const mask = table.length - 1;
    for (let slot = hashOf(given, from, length) & mask; ; slot = (slot + 1) & mask) {
      const start = table[slot] ?? 0;
      if (start === 0) return slot;
      let i = 0;
      while (i < length && numbers[start + i] === given[from + i]) i += 1;
      if (i === length) return slot;
    }
  }

  /** The state with these numbers; -1 where it was not come to. */
  find(given: Int32Array, length: number): number {
    const start = this.table[this.slotOf(given, 0, length)] ?? 0;
    return start === 0 ? -1 : (this.numbers[start - 1] ?? -1);
  }

  /** The state with these numbers, which is a new one where it was not come to before: then it is `count - 1`. */
  add(given: Int32Array, length: number, parent: number, choice: number, taps: number): number {
    const slot = this.slotOf(given, 0, length);
    const known = this.table[slot] ?? 0;
    if (known !== 0) return this.numbers[known - 1] ?? 0;
    const state = this.count;
    const start = this.end + 1;
    this.end = start + length;
    this.numbers = grown(this.numbers, this.end);
    this.starts = grown(this.starts, state + 1);
    this.parents = grown(this.parents, state + 1);
    this.choices = grown(this.choices, state + 1);
    this.taps = grown(this.taps, state + 1);
    this.numbers[start - 1] = state;
    for (let i = 0; i < length; i += 1) this.numbers[start + i] = given[i] ?? 0;
    this.starts[state] = start;
    this.parents[state] = parent;
    this.choices[state] = choice;
    this.taps[state] = taps;
    this.table[slot] = start;
    this.count += 1;
    if (this.count > this.table.length * fullest) this.widen();
    return state;
  }

  private widen(): void {
    this.table = new Int32Array(this.table.length * 2);
    for (let state = 0; state < this.count; state += 1) {
      const start = this.startOf(state);
      const end = state + 1 < this.count ? this.startOf(state + 1) - 1 : this.end;
      this.table[this.slotOf(this.numbers, start, end - start)] = start;
    }
  }
}
