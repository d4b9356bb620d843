import { indexOf, isAttached, placesOf } from "../frame/frame-index.js";
import { firstUnmet, hasNeeds, type Unmet } from "../frame/needs.js";
import { mayStart, startIn, startLacks } from "../frame/way-in.js";
import { nodeIn } from "../frame/nodes.js";
import { type Facts, type How, type Id, noParams, type Opens, type Params } from "../frame/parts.js";
import { firstOf, sure } from "../frame/sure.js";
import { entriesInside, tabOf } from "./entries.js";
import { focusPath } from "./focus.js";
import { note, type Run } from "./run.js";
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
  /** The container it is to be opened in, of several that it stands in. */
  in?: Id | null;
  /** It waited: it is asked down to the start that it will be opened at, whether that is there or not. */
  waited?: true;
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
const wayTo = (run: Run, facts: Facts, { to, link, from, in: given }: AskFrom): readonly Id[] | null => {
  const { frame } = run;
  if (to === frame.root) return [to];
  const places = placesOf(frame, to);
  const { ways } = indexOf(frame);
  const wayBy = (place: Id): readonly Id[] => [...(ways.get(place) ?? []), to];
  if (places.length === 0) return null;
  if (places.length === 1) return wayBy(firstOf(places));
  if (given && places.includes(given)) return wayBy(given);
  const node = nodeIn(frame, to);
  if (link && node?.kind === "screen" && node.linkIn !== undefined && places.includes(node.linkIn))
    return wayBy(node.linkIn);
  const near = link?.cold ? undefined : from.findLast(({ kind, node: id }) => kind !== "screen" && places.includes(id));
  if (near) return wayBy(near.node);
  return wayBy(places.find((place) => firstUnmet(frame, facts, wayBy(place)) === null) ?? firstOf(places));
};

/** The entries of a node directly inside. */
const allInside = (entry: Entry, id: Id): readonly Entry[] =>
  entry.kind === "hub"
    ? [tabOf(entry, id)].filter((tab) => tab !== undefined)
    : entriesInside(entry).filter(({ node }) => node === id);

/** Whether an entry of the last of `way` is in there. */
const isThere = (entry: Entry, way: readonly Id[], i = 0): boolean =>
  i === way.length - 1 || allInside(entry, sure(way[i + 1])).some((inner) => isThere(inner, way, i + 1));

/** What waits, before anything stands in for it. */
export type Waiting = Omit<Pending, "standIn">;

/** Where an opening comes to, once needs were asked. */
export interface Granted {
  ask: AskFrom;
  way: readonly Id[];
  /** What waits until its needs are met: set by a redirect that resumes. */
  pending: Waiting | null;
  redirected: boolean;
}

/** Whether what an unmet need names instead leads anywhere: it is not refused, and does not go round. */
const leads = (run: Run, state: State, { need }: Unmet): boolean => {
  let to = need.otherwise;
  for (let turn = 0; turn < mostTurns && to !== undefined; turn += 1) {
    const way = isAttached(run.frame, to)
      ? wayTo(run, state.facts, { ...askOf(to), from: focusPath(run, state.root) })
      : null;
    if (!way) return false;
    const unmet = firstUnmet(run.frame, state.facts, way) ?? startLacks(run.frame, state.facts, to);
    if (!unmet || mayShow(run, state.facts, to, way)) return true;
    to = unmet.need.otherwise;
  }
  return false;
};

const mayShow = (run: Run, facts: Facts, to: Id, way: readonly Id[]): boolean =>
  firstUnmet(run.frame, facts, way) === null && mayStart(run.frame, facts, to);

/** What of a container that is made new is not met: its start, and that one's, and so on; a hub, and the root, may start elsewhere. */
const unmetStart = (run: Run, state: State, id: Id): Unmet | null => {
  const { frame } = run;
  const own = firstUnmet(frame, state.facts, [id]);
  const start = own ? undefined : startIn(frame, id);
  const unmet = own ?? (start === undefined ? null : unmetStart(run, state, start));
  const isFree = unmet && (nodeIn(frame, id)?.kind === "hub" || id === frame.root) && !own;
  if (!isFree || (unmet.need.otherwise !== undefined && leads(run, state, unmet))) return unmet;
  return mayStart(frame, state.facts, id) ? null : unmet;
};

/**
 * What of a way is not met: first what is on it, from the root down, then what would be made with it, from the outermost down:
 * the list of a pair whose detail is asked for, and the starts of what is opened. What is in the state already is not asked,
 * but of what waited.
 */
const unmetOn = (run: Run, state: State, { to, link, waited }: Ask, way: readonly Id[]): Unmet | null => {
  const { frame } = run;
  if (!hasNeeds(frame)) return null;
  const unmet = firstUnmet(frame, state.facts, way);
  if (unmet) return unmet;
  const isNew = (until: number): boolean => link?.cold === true || !isThere(state.root, way.slice(0, until + 1));
  for (const [i, id] of way.entries()) {
    const pair = nodeIn(frame, id);
    const list = pair?.kind === "pair" && way[i + 1] === pair.detail ? pair.list : undefined;
    const beside = list !== undefined && isNew(i) ? unmetStart(run, state, list) : null;
    if (beside) return beside;
  }
  return nodeIn(frame, to)?.kind !== "screen" && (waited || isNew(way.length - 1)) ? unmetStart(run, state, to) : null;
};

/** Finds the place of what is asked, or of what stands in for it as its needs are not met; null, with a note, if nothing is to be opened. */
export const grant = (run: Run, state: State, given: Ask): Granted | null => {
  const { frame } = run;
  let ask: AskFrom = { ...given, from: given.from ?? focusPath(run, state.root) };
  let pending: Waiting | null = null;
  for (let turn = 0; turn <= mostTurns; turn += 1) {
    const isNode = nodeIn(frame, ask.to) !== undefined;
    const way = isNode && isAttached(frame, ask.to) ? wayTo(run, state.facts, ask) : null;
    if (!way) {
      note(run, "unattached", ask.to, { node: ask.to, isNode });
      return null;
    }
    const unmet = unmetOn(run, state, ask, way);
    if (!unmet) return { ask, way, pending, redirected: ask.to !== given.to };
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
      pending = { to, params, with: ask.with, as, motion, how, in: way.at(-2) ?? null, cold: ask.link?.lays ?? false };
    }
    ask = { ...ask, in: null, to: need.otherwise, params: noParams, with: noParams, as: null, motion: null };
  }
  note(run, "needs-loop", given.to, { opening: given.to });
  return null;
};
