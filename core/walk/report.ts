import { indexOf, isAttached } from "../frame/frame-index.js";
import type { Id } from "../frame/parts.js";
import type { NavigationEvent } from "../navigate/event.js";
import type { Beginning } from "./beginnings.js";
import type { Beyond } from "./bounds.js";
import type { Watched } from "./sightings.js";
import type { Walk } from "./walk.js";

/** What is proved, or found broken, by a walk. */
export const proofIds = ["ends", "trap", "strips", "needs", "behind", "reached", "drafts"] as const;
/** What a walk proves, by one of those names. */
export type ProofId = (typeof proofIds)[number];

/** The events that show something, from how the app begins. */
export interface Shown {
  beginning: Beginning;
  events: NavigationEvent[];
}

/** What a walk says of one thing that should hold everywhere. */
export interface Proof {
  id: ProofId;
  holds: boolean;
  /** In how many states, or by how many events, it is broken. */
  broken: number;
  /** The fewest events that show it; null where it holds, or where nothing shows it: a screen that is never reached. */
  shown: Shown | null;
  /** The screens it is about, where it is about screens. */
  screens: Id[];
}

/** A screen with the fewest taps that lead to it. */
export interface ReachedBy extends Shown {
  id: Id;
  taps: number;
}

/** What was seen on a screen, how often, and the fewest events that show it. */
export interface SeenOn extends Shown {
  what: Watched;
  /** Null where no screen shows. */
  node: Id | null;
  count: number;
  taps: number;
}

/** What a walk found, as data. */
export interface WalkReport {
  states: number;
  /** Events that lead from a state to another one. */
  edges: number;
  proofs: Proof[];
  /** Every screen that was reached, those with the fewest taps first. */
  screens: ReachedBy[];
  /** The longest ladder: so many Backs until the app is left, or nothing goes back. */
  longest: Shown & { backs: number };
  seen: SeenOn[];
  /** The screens that Back leads to from each, by how one came there. */
  backTo: Record<Id, Id[]>;
  /** The bounds that were met: nothing is said past them. */
  bounds: {
    /** There were more states than were gone on from. */
    isFull: boolean;
    /** Screens that lie on themselves again and again, or values that grow. */
    beyond: Beyond[];
    /** There are more combinations of facts than were begun with. */
    areFactsCut: boolean;
  };
}

const none: Shown = { beginning: { facts: {}, url: null }, events: [] };

/** Which sightings break a proof. */
const brokenBy: Record<Exclude<ProofId, "reached">, readonly Watched[]> = {
  ends: ["round"],
  trap: ["trap"],
  strips: ["strips"],
  needs: ["unmet", "stuck"],
  behind: ["passed"],
  drafts: ["draft"],
};

const proofOf = (walk: Walk, id: Exclude<ProofId, "reached">): Proof => {
  const sightings = brokenBy[id].flatMap((what) => walk.seen.of(what));
  const [first] = sightings.sort((a, b) => a.state - b.state);
  return {
    id,
    holds: !first,
    broken: sightings.reduce((sum, { count }) => sum + count, 0),
    shown: first ? walk.eventsShowing(first) : null,
    screens: [],
  };
};

/** Every screen can be reached, and left again. What was never reached is said only where all states were walked. */
const reachedProof = (walk: Walk): Proof => {
  const { frame, reached, left, isFull } = walk;
  const unreached = indexOf(frame).ids.filter(
    (id) => frame.nodes[id]?.kind === "screen" && isAttached(frame, id) && !reached.has(id),
  );
  const kept = [...reached.keys()].filter((id) => !left.has(id));
  const screens = [...(isFull ? [] : unreached), ...kept];
  const first = kept[0] === undefined ? undefined : reached.get(kept[0]);
  return {
    id: "reached",
    holds: screens.length === 0,
    broken: screens.length,
    shown: first ? walk.eventsTo(first.state) : null,
    screens,
  };
};

const longestOf = (walk: Walk): WalkReport["longest"] => {
  const { backs, state } = walk.ladders.longest;
  return { backs, ...(state < 0 ? none : walk.eventsTo(state)) };
};

/** What a walk found so far, as data. */
export const reportOf = (walk: Walk): WalkReport => ({
  states: walk.states.count,
  edges: walk.edges,
  proofs: proofIds.map((id) => (id === "reached" ? reachedProof(walk) : proofOf(walk, id))),
  screens: [...walk.reached]
    .map(([id, { state, taps }]): ReachedBy => ({ id, taps, ...walk.eventsTo(state) }))
    .sort((a, b) => a.taps - b.taps),
  longest: longestOf(walk),
  seen: walk.seen.all().map(({ what, node, sighting }): SeenOn => {
    const taps = walk.states.tapsOf(sighting.state);
    return { what, node, count: sighting.count, taps, ...walk.eventsShowing(sighting) };
  }),
  backTo: Object.fromEntries([...walk.backTo].map(([id, tops]) => [id, [...tops]])),
  bounds: { isFull: walk.isFull, beyond: [...walk.beyond.values()], areFactsCut: walk.areFactsCut },
});
