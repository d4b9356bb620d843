import { keysOf } from "../../core/index.js";

/** Watchers to be told once what is being done together is done; null while nothing is. */
let due: Set<() => void> | null = null;

/** Does several changes as one: whoever watches is told once, at the end. */
export const together = <T>(work: () => T): T => {
  if (due) return work();
  const told = (due = new Set<() => void>());
  try {
    return work();
  } finally {
    due = null;
    for (const watcher of told) watcher();
  }
};

/** A value outside React that components follow: read by `get`, watched by `subscribe`. */
export class External<T extends object> {
  private readonly watchers = new Set<() => void>();

  constructor(private value: T) {}

  readonly get = (): T => this.value;

  readonly subscribe = (watcher: () => void): (() => void) => {
    this.watchers.add(watcher);
    return () => this.watchers.delete(watcher);
  };

  /** Changes some of the value; what is the same already tells nobody. */
  set(change: Partial<T>): void {
    const next = { ...this.value, ...change };
    const isSame = keysOf(change).every((key) => Object.is(this.value[key], next[key]));
    if (isSame) return;
    this.value = next;
    for (const watcher of this.watchers)
      if (due) due.add(watcher);
      else watcher();
  }
}
