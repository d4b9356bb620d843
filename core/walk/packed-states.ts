/** Room for numbers that grows as they come. */
const grown = <T extends Int32Array | Uint16Array>(numbers: T, least: number): T => {
  if (numbers.length >= least) return numbers;
  const Kind = numbers.constructor as new (length: number) => T;
  const larger = new Kind(Math.max(least, Math.ceil(numbers.length * 1.5)));
  larger.set(numbers);
  return larger;
};

/** So full a table may be before it is made larger: more, and looking into it takes long. */
const fullest = 0.7;

/**
 * States as numbers in a row, each told from all others: the number of its shape, then of what lies in its places. Beside
 * each stand the state it was first come to from, by which choice there, and with how many taps.
 */
export class PackedStates {
  /** The numbers of all states, one state after another. */
  numbers = new Int32Array(4096);
  private ends = new Int32Array(1024);
  private parents = new Int32Array(1024);
  private choices = new Uint16Array(1024);
  private taps = new Uint16Array(1024);
  private table = new Int32Array(2048).fill(-1);
  count = 0;

  /** Where the numbers of a state begin. */
  startOf(state: number): number {
    return state === 0 ? 0 : this.ends[state - 1]!;
  }

  shapeOf(state: number): number {
    return this.numbers[this.startOf(state)]!;
  }

  /** The state that this one was first come to from; less than 0 where the walk began in it. */
  parentOf(state: number): number {
    return this.parents[state]!;
  }

  choiceOf(state: number): number {
    return this.choices[state]!;
  }

  tapsOf(state: number): number {
    return this.taps[state]!;
  }

  /** Bytes that the states take up, with the room that is not filled yet. */
  get bytes(): number {
    return [this.numbers, this.ends, this.parents, this.choices, this.taps, this.table].reduce(
      (sum, { byteLength }) => sum + byteLength,
      0,
    );
  }

  /** Where in the table a state stands, or would. */
  private slotOf(numbers: Int32Array, length: number): number {
    let hash = 0x811c9dc5;
    for (let i = 0; i < length; i += 1) {
      hash = Math.imul(hash ^ numbers[i]!, 0x85ebca6b);
      hash ^= hash >>> 13;
    }
    const { table, ends } = this;
    const mask = table.length - 1;
    for (let slot = (Math.imul(hash, 0xc2b2ae35) >>> 7) & mask; ; slot = (slot + 1) & mask) {
      const known = table[slot]!;
      if (known < 0) return slot;
      const start = known === 0 ? 0 : ends[known - 1]!;
      if (ends[known]! - start !== length) continue;
      let i = 0;
      while (i < length && this.numbers[start + i] === numbers[i]) i += 1;
      if (i === length) return slot;
    }
  }

  /** The state with these numbers; -1 where it was not come to. */
  find(numbers: Int32Array, length: number): number {
    return this.table[this.slotOf(numbers, length)]!;
  }

  /** The state with these numbers, which is a new one where it was not come to before: then it is `count - 1`. */
  add(numbers: Int32Array, length: number, parent: number, choice: number, taps: number): number {
    const slot = this.slotOf(numbers, length);
    const known = this.table[slot]!;
    if (known >= 0) return known;
    const state = this.count;
    const start = this.startOf(state);
    this.numbers = grown(this.numbers, start + length);
    this.ends = grown(this.ends, state + 1);
    this.parents = grown(this.parents, state + 1);
    this.choices = grown(this.choices, state + 1);
    this.taps = grown(this.taps, state + 1);
    for (let i = 0; i < length; i += 1) this.numbers[start + i] = numbers[i]!;
    this.ends[state] = start + length;
    this.parents[state] = parent;
    this.choices[state] = choice;
    this.taps[state] = taps;
    this.table[slot] = state;
    this.count += 1;
    if (this.count > this.table.length * fullest) this.widen();
    return state;
  }

  private widen(): void {
    this.table = new Int32Array(this.table.length * 2).fill(-1);
    for (let state = 0; state < this.count; state += 1) {
      const start = this.startOf(state);
      const numbers = this.numbers.subarray(start, this.ends[state]);
      this.table[this.slotOf(numbers, numbers.length)] = state;
    }
  }
}
