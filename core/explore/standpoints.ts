import { subtreeOf } from "../frame/frame-index.js";
import { type Lens, lensOf } from "../frame/look.js";
import type { Id } from "../frame/parts.js";
import type { FixedFrame } from "../frame/types.js";
import type { View } from "../frame/view.js";
import { sightOf } from "../navigate/sight.js";
import type { State } from "../navigate/state.js";
import { launch, step } from "../navigate/step.js";
import type { FirstWays } from "../walk/first-ways.js";
import type { Shown } from "../walk/report.js";
import { openedAt } from "./standpoint.js";

/** A state on a node. */
export interface Standpoint {
  state: State;
  /** How a person comes there; null for whom it was opened from outside, as no way is known. */
  way: Shown | null;
}

/** So many screens of a hub are tried for one that shows its bar. */
const mostTried = 12;

/**
 * A frame in a view, and where a person stands who comes to its nodes. The ways there are those that a walk found: each is
 * gone again, so that ways found in another view, or before an edit, are of use as long as they lead there.
 */
export class Standpoints<F extends FixedFrame = FixedFrame> {
  readonly lens: Lens;
  private readonly known = new Map<Id, Standpoint>();

  constructor(
    readonly frame: F,
    readonly view: View,
    /** The best first; none as long as nothing was walked. */
    private readonly ways: readonly FirstWays[] = [],
  ) {
    this.lens = lensOf(frame, view);
  }

  /** Whether it goes by these ways. */
  isBy(ways: readonly FirstWays[]): boolean {
    return this.ways === ways;
  }

  /** The same ways on another frame. */
  on<G extends FixedFrame>(frame: G): Standpoints<G> {
    return new Standpoints(frame, this.view, this.ways);
  }

  /** Where a person first comes to a screen, or sees the bar of a hub; else, where they are for whom something opened it from outside. */
  at(id: Id): Standpoint {
    let known = this.known.get(id);
    if (!known) {
      known = this.frame.nodes[id]?.kind === "hub" ? this.onHub(id) : this.onScreen(id);
      this.known.set(id, (known ??= { state: openedAt(this.frame, this.view, id), way: null }));
    }
    return known;
  }

  /** Whether no walk found a way to a node: it is known that there is none. */
  isUnreached(id: Id): boolean {
    return this.ways.some(({ unreached }) => unreached.includes(id)) && this.at(id).way === null;
  }

  private onScreen(id: Id): Standpoint | undefined {
    for (const { to } of this.ways) {
      const way = to[id];
      const state = way && this.gone(way);
      if (state && this.shows(state, id)) return { state, way };
    }
    return undefined;
  }

  private onHub(id: Id): Standpoint | undefined {
    for (const inner of subtreeOf(this.frame, id).slice(0, mostTried)) {
      if (this.frame.nodes[inner]?.kind !== "screen") continue;
      const at = this.at(inner);
      if (at.way && sightOf(this.lens, at.state).bars.some(({ hub }) => hub === id)) return at;
    }
    return undefined;
  }

  private shows(state: State, id: Id): boolean {
    if (state.outside || state.asking) return false;
    return sightOf(this.lens, state).screens.some(({ entry, inert }) => entry.node === id && !inert);
  }

  /** The state at the end of a way. */
  private gone({ beginning, events }: Shown): State {
    let { state } = launch(this.frame, this.view, beginning.facts, beginning.url ?? undefined);
    for (const event of events) ({ state } = step(this.frame, this.view, state, event));
    return state;
  }
}
