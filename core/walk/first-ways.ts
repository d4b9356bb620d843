import { indexOf, isAttached } from "../frame/frame-index.js";
import type { Facts, Id } from "../frame/parts.js";
import type { FixedFrame } from "../frame/types.js";
import type { View } from "../frame/view.js";
import { factsToBegin } from "./asked-facts.js";
import type { Shown } from "./report.js";
import { Walk } from "./walk.js";

/** How a person first comes to each screen: how the app begins, and what is done then. */
export interface FirstWays {
  /** To each screen by what puts it on top; where nothing does, by what shows it beside another. */
  to: Readonly<Record<Id, Shown>>;
  /** Screens in some container that no way leads to, as far as everything was gone through. */
  unreached: readonly Id[];
}

/** So many states are gone on from in every way; after them only those that show another screen. */
const mostStates = 300;

/** A walk that goes no further than it takes to find a way to each screen: from every launch, or from one with these facts as long as they stay so. */
export class Scout {
  private readonly walk: Walk;
  private readonly screens: readonly Id[];
  private isDone = false;

  constructor(frame: FixedFrame, view: View, facts?: Facts) {
    const launches = facts ? [facts] : factsToBegin(frame).all;
    const begin = launches.map((each) => ({ facts: each, url: null }));
    this.walk = new Walk(frame, view, { mostStates, begin, keepsFacts: facts !== undefined, climbs: false });
    this.screens = indexOf(frame).ids.filter((id) => frame.nodes[id]?.kind === "screen" && isAttached(frame, id));
  }

  /** Goes on from so many more states. False once there is nothing left to find. */
  advance(most: number): boolean {
    this.isDone = !(this.walk.onTop.size < this.screens.length && this.walk.advance(most));
    return !this.isDone;
  }

  /** The screens that were come to so far. */
  get reached(): Id[] {
    return [...this.walk.reached.keys()];
  }

  /** The ways that were found so far. */
  ways(): FirstWays {
    const { walk } = this;
    const to: Record<Id, Shown> = {};
    for (const [id, { state }] of walk.reached) to[id] = walk.eventsTo(walk.onTop.get(id) ?? state);
    return { to, unreached: this.isDone ? this.screens.filter((id) => !walk.reached.has(id)) : [] };
  }
}

/** The ways, found at once. */
export const firstWaysOf = (frame: FixedFrame, view: View): FirstWays => {
  const scout = new Scout(frame, view);
  while (scout.advance(mostStates));
  return scout.ways();
};
