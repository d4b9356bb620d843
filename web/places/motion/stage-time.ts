import { useEffect, useState, useSyncExternalStore } from "react";
import { External } from "../../data/external.js";
import { StageClock } from "../../device/motion/stage-clock.js";

/** How a stage goes by. */
export interface StageTimeShown {
  /** ms from the beginning of the move. */
  time: number;
  isPlaying: boolean;
  pace: 1 | 0.5 | 0.1;
}

/** What is at rest at the end, and at the beginning, is looked at for so long, ms. */
const restsAfter = 550;
const restsBefore = 250;

/** The time of a stage: it goes round and round, or stands where it is put. All that is drawn on the stage goes by its clock. */
export class StageTime extends External<StageTimeShown> {
  readonly clock = new StageClock();
  private length = 1;
  private frame: number | null = null;
  private last = 0;
  /** ms left of the rest before it goes on. */
  private rests = restsBefore;

  constructor(isPlaying: boolean) {
    super({ time: 0, isPlaying, pace: 1 });
  }

  /** How long the motion takes, ms; one that takes no time is looked at as long as its rests. */
  setLength(length: number): void {
    this.length = Math.max(1, length);
    if (this.get().time > this.length) this.put(this.length);
  }

  put(time: number): void {
    const within = Math.min(this.length, Math.max(0, time));
    this.clock.to(within);
    this.set({ time: within });
  }

  /** Puts it to a time and holds it there. */
  hold(time: number): void {
    this.set({ isPlaying: false });
    this.put(time);
  }

  play(isPlaying: boolean): void {
    if (isPlaying && this.get().time >= this.length) this.put(0);
    this.rests = 0;
    this.set({ isPlaying });
  }

  pace(pace: StageTimeShown["pace"]): void {
    this.set({ pace });
  }

  private readonly tick = (now: number): void => {
    this.frame = requestAnimationFrame(this.tick);
    const passed = Math.min(100, now - this.last);
    this.last = now;
    const { isPlaying, time, pace } = this.get();
    if (!isPlaying) return;
    if (this.rests > 0) {
      this.rests -= passed;
      if (this.rests <= 0 && time >= this.length) {
        this.put(0);
        this.rests = restsBefore;
      }
      return;
    }
    const next = time + passed * pace;
    this.put(next);
    if (next >= this.length) this.rests = restsAfter;
  };

  /** Goes on until what it answers is called. */
  start(): () => void {
    this.last = performance.now();
    this.frame ??= requestAnimationFrame(this.tick);
    return () => {
      if (this.frame !== null) cancelAnimationFrame(this.frame);
      this.frame = null;
    };
  }
}

const isCalm = (): boolean => matchMedia("(prefers-reduced-motion: reduce)").matches;

/** The time of a stage, going on while it is shown; where reduced motion is asked for it stands until it is told to go. */
export const useNewStageTime = (): StageTime => {
  const [time] = useState(() => new StageTime(!isCalm()));
  useEffect(() => time.start(), [time]);
  return time;
};

/** A part of how a stage goes by. */
export const useStageTime = <P>(time: StageTime, part: (shown: StageTimeShown) => P): P =>
  useSyncExternalStore(time.subscribe, () => part(time.get()));
