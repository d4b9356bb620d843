import { indexOf, isAttached, placesOf } from "../frame/frame-index.js";
import { downStarts, firstUnmet, type Unmet } from "../frame/needs.js";
import { nodeIn } from "../frame/nodes.js";
import { type Facts, type How, type Id, noParams, type Opens, type Params } from "../frame/parts.js";
import { firstOf } from "../frame/sure.js";
import { entriesInside } from "./entries.js";
import { focusPath } from "./focus.js";
import { note, type Run, sameParams } from "./run.js";
import type { Entry, Pending, State } from "./state.js";

/** How often one opening may be sent elsewhere by needs that are unmet. */
export const mostTurns = 8;

/** What is asked when a node is opened. */
export interface Ask {
  to: Id;
  params: Params;
  with: Params;
  as: Opens | null;
  motion: Id | null;
  how: How;
  /** The entries from the root to the screen that asked; null when none did: then the focus path stands for it. */
  from: readonly Entry[] | null;
  /** Asked by a link. */
  link?: {
    /** What a cold link lays is laid, all along the way. */
    lays: boolean;
    /** The app was not running: nothing is there yet. */
    cold: boolean;
  };
}

/** The plain asking for a node, by no screen. */
export const askOf = (to: Id, params: Params = noParams): Ask => ({
  to,
  params,
  with: noParams,
  as: null,
  motion: null,
  how: "add",
  from: null,
});

/** An asking with the path to the screen that asked, or to the one that stands for it. */
export type AskFrom = Ask & { from: readonly Entry[] };

/**
 * The ids from the root to the node; null if it stands nowhere. Of several places, a link takes the one its screen names,
 * anything else the one that the asking screen is nearest to; failing these the first that may be shown.
 */
const wayTo = (run: Run, facts: Facts, { to, link, from }: AskFrom): readonly Id[] | null => {
  const { frame } = run;
  if (to === frame.root) return [to];
  const places = placesOf(frame, to);
  const { ways } = indexOf(frame);
  const wayBy = (place: Id): readonly Id[] => [...(ways.get(place) ?? []), to];
  if (places.length === 0) return null;
  if (places.length === 1) return wayBy(firstOf(places));
  const node = nodeIn(frame, to);
  if (link && node?.kind === "screen" && node.linkIn !== undefined && places.includes(node.linkIn))
    return wayBy(node.linkIn);
  const near = link?.cold ? undefined : from.findLast(({ kind, node: id }) => kind !== "screen" && places.includes(id));
  if (near) return wayBy(near.node);
  return wayBy(places.find((place) => firstUnmet(frame, facts, wayBy(place)) === null) ?? firstOf(places));
};

/** Whether an entry of the last of `way` is in there. */
const isThere = (entry: Entry, way: readonly Id[], i = 0): boolean =>
  i === way.length - 1 || entriesInside(entry).some((inner) => inner.node === way[i + 1] && isThere(inner, way, i + 1));

/** Where an opening comes to, once needs were asked. */
export interface Granted {
  ask: AskFrom;
  way: readonly Id[];
  /** What waits until its needs are met: set by a redirect that resumes. */
  pending: Pending | null;
  redirected: boolean;
}

/** What of a way is not met; a container that is made new is asked down to the start it will be opened at. */
const unmetOn = (run: Run, state: State, { to, link }: Ask, way: readonly Id[]): Unmet | null => {
  const { frame } = run;
  const isNew = nodeIn(frame, to)?.kind !== "screen" && (link?.cold || !isThere(state.root, way));
  return firstUnmet(frame, state.facts, isNew ? [...way, ...downStarts(frame, to)] : way);
};

/** Finds the place of what is asked, or of what stands in for it as its needs are not met; null, with a note, if nothing is to be opened. */
export const grant = (run: Run, state: State, given: Ask): Granted | null => {
  const { frame } = run;
  let ask: AskFrom = { ...given, from: given.from ?? focusPath(run, state.root) };
  let pending: Pending | null = null;
  for (let turn = 0; turn <= mostTurns; turn += 1) {
    const isNode = nodeIn(frame, ask.to) !== undefined;
    const way = isNode && isAttached(frame, ask.to) ? wayTo(run, state.facts, ask) : null;
    if (!way) {
      note(run, "unattached", ask.to, { node: ask.to, isNode });
      return null;
    }
    const unmet = unmetOn(run, state, ask, way);
    if (!unmet)
      return { ask, way, pending: pending && { ...pending, standIn: ask.to }, redirected: ask.to !== given.to };
    const { id, need } = unmet;
    const lacking = { of: id === ask.to ? { id, params: ask.params } : { id }, need };
    if (need.otherwise === undefined) {
      note(run, "refused", ask.to, { what: { id: ask.to, params: ask.params }, lacking });
      return null;
    }
    const waits = need.resume === true && !pending;
    note(run, "redirected", need.otherwise, { to: { id: need.otherwise }, why: "needs", lacking, waits });
    if (waits) {
      const { to, params, as, motion, how } = ask;
      pending = { to, params, with: ask.with, as, motion, how, cold: ask.link?.lays ?? false, standIn: need.otherwise };
    }
    ask = { ...ask, to: need.otherwise, params: noParams, with: noParams, as: null, motion: null };
  }
  note(run, "needs-loop", given.to, { opening: given.to });
  return null;
};

const isAsked = (pending: Pending, { to, params }: Ask): boolean =>
  pending.to === to && sameParams(pending.params, params);

/** What waits once something was opened: what a redirect of it set, else what waited before, unless that is what was opened. */
export const pendingAfter = (before: Pending | null, granted: Granted): Pending | null =>
  granted.pending ?? (before && isAsked(before, granted.ask) ? null : before);
