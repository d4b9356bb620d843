import type { Id } from "../frame/parts.js";
import type { Sightings } from "./sightings.js";

/** What ladders are made of: states by their numbers, and what Back does in each. */
interface Rungs {
  readonly states: { readonly count: number };
  readonly seen: Sightings;
  standing: (state: number) => { isAsking: boolean; isOutside: boolean; back: number; top: Id | null };
  /** Whether nothing goes back in a state. */
  goesNowhere: (state: number) => boolean;
  /** The state that a choice leads to; less than 0 where it leads to none that was walked. */
  after: (state: number, choice: number) => number;
}

/** The end of a ladder, as it was found out so far. */
const enum End {
  unknown = 0,
  left = 1,
  stays = 2,
  round = 3,
  beyond = 4,
  looking = 5,
}

/** The ladders of all states: how many Backs each has until the app is left or nothing goes back, and which come round. */
export class Ladders {
  /** The longest, in Backs, and the state it begins in. */
  longest = { backs: 0, state: -1 };
  private next = 0;
  private ends = new Uint8Array(0);
  private backs = new Uint16Array(0);

  constructor(private readonly rungs: Rungs) {}

  /** Climbs the ladder of the next state. False once that was done for all. */
  climbNext(): boolean {
    const { count } = this.rungs.states;
    if (this.next >= count) return false;
    if (this.ends.length < count) {
      this.ends = new Uint8Array(count);
      this.backs = new Uint16Array(count);
    }
    this.climb(this.next++);
    return true;
  }

  /** The state after one Back, every question answered so that it is left; or how the ladder ends there. */
  private backFrom(state: number): number | End {
    const { rungs } = this;
    const { isOutside, isAsking, back } = rungs.standing(state);
    if (isOutside) return -End.left;
    // a question is passed over: the state is the one before it
    if (isAsking) return rungs.after(state, 1);
    if (rungs.goesNowhere(state)) return -End.stays;
    const next = rungs.after(state, back);
    if (next < 0) return -End.beyond;
    const through = rungs.standing(next).isAsking ? rungs.after(next, 0) : next;
    if (through < 0) return -End.beyond;
    return rungs.standing(through).isOutside ? -End.left : through;
  }

  /** Goes down the ladder of a state until it ends, or where it is known already. */
  private climb(from: number): void {
    const { ends, rungs } = this;
    const path: number[] = [];
    let at = from;
    let end: End = ends[at] ?? End.unknown;
    let backs = this.backs[at] ?? 0;
    while (end === End.unknown) {
      ends[at] = End.looking;
      path.push(at);
      const next = this.backFrom(at);
      if (next < 0) {
        end = -next;
        backs = rungs.standing(at).isAsking ? 0 : -1;
        break;
      }
      at = next;
      end = ends[at] ?? End.unknown;
      backs = this.backs[at] ?? 0;
    }
    if (end === End.looking) end = End.round;
    for (const state of path.reverse()) {
      const { isAsking, top } = rungs.standing(state);
      if (!isAsking) backs += 1;
      ends[state] = end;
      this.backs[state] = backs;
      if (end === End.round) rungs.seen.see("round", top, state);
      else if (backs > this.longest.backs) this.longest = { backs, state };
    }
  }
}
