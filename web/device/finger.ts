/** A finger that has rested for so long has no speed, ms. */
const rested = 90;

/** A finger on its way: how far it is, px, and how fast it goes, px a second, by its last movements. */
export class Finger {
  at = 0;
  speed = 0;

  constructor(private time: number) {}

  to(at: number, time: number): void {
    const passed = time - this.time;
    if (passed > 0) {
      const now = ((at - this.at) * 1000) / passed;
      // one movement is told in uneven pieces: the last ones count together
      this.speed = passed > rested ? now : 0.6 * now + 0.4 * this.speed;
      this.time = time;
    }
    this.at = at;
  }

  /** How fast it goes at a time, when it may have rested since. */
  speedAt(time: number): number {
    return time - this.time > rested ? 0 : this.speed;
  }
}
