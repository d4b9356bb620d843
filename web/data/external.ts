/** A value outside React that components follow: read by `get`, watched by `subscribe`. */
export class External<T> {
  private readonly watchers = new Set<() => void>();

  constructor(private value: T) {}

  readonly get = (): T => this.value;

  readonly subscribe = (watcher: () => void): (() => void) => {
    this.watchers.add(watcher);
    return () => this.watchers.delete(watcher);
  };

  set(change: Partial<T>): void {
    this.value = { ...this.value, ...change };
    for (const watcher of this.watchers) watcher();
  }
}
