/** So many wrong keys are heard from an address in a while, and from all together; then none is. */
const mostFrom = 10;
const mostOfAll = 200;
/** The while, ms. */
const span = 60_000;

/** Counts wrong keys: guessing is slower than it is worth. */
export class Tries {
  private began = 0;
  private all = 0;
  private readonly from = new Map<string, number>();

  constructor(private readonly now: () => number = Date.now) {}

  private renew(): void {
    if (this.now() - this.began < span) return;
    this.began = this.now();
    this.all = 0;
    this.from.clear();
  }

  /** How long nothing more is heard from an address, s; 0 where it is. */
  waits(address: string): number {
    this.renew();
    if ((this.from.get(address) ?? 0) < mostFrom && this.all < mostOfAll) return 0;
    return Math.ceil((this.began + span - this.now()) / 1000);
  }

  wrong(address: string): void {
    this.renew();
    this.all += 1;
    this.from.set(address, (this.from.get(address) ?? 0) + 1);
  }
}
