import type { Mover } from "../../../core/index.js";
import { keyframesOf, lengthOf } from "./keyframes.js";
import type { Plays } from "./motion-context.js";

/** Moves what is drawn to any time of its motion, again and again. Several may go by one clock: they are in step. */
export class StageClock implements Plays {
  private readonly playing = new Set<{ animation: Animation; start: number }>();

  /** `time`: ms from the beginning of the move. */
  constructor(private time = 0) {}

  play(mover: Mover, element: HTMLElement): () => void {
    const animation = element.animate(keyframesOf(mover), { duration: lengthOf(mover), fill: "both" });
    animation.pause();
    const playing = { animation, start: mover.start };
    this.playing.add(playing);
    this.put(playing);
    return () => {
      animation.cancel();
      this.playing.delete(playing);
    };
  }

  private put({ animation, start }: { animation: Animation; start: number }): void {
    animation.currentTime = Math.max(0, this.time - start);
  }

  to(time: number): void {
    this.time = time;
    for (const each of this.playing) this.put(each);
  }
}
