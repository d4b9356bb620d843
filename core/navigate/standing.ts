import { placesOf } from "../frame/frame-index.js";
import { hasNeeds, sameFacts, type Unmet, unmetOf } from "../frame/needs.js";
import { nodeIn } from "../frame/nodes.js";
import { patternOf } from "../frame/pattern.js";
import { mayStart, startIn, startLacks } from "../frame/way-in.js";
import { type Facts, type Id, noParams } from "../frame/parts.js";
import type { FixedFrame, FixedScreen } from "../frame/types.js";
import { holdsNode, pathTo } from "./entries.js";
import { focusPath } from "./focus.js";
import { askOf, grant, mostTurns, type Waiting } from "./grant.js";
import { openGranted, standingIn } from "./open.js";
import { resumed } from "./resume.js";
import { named, note, type Run } from "./run.js";
import { type Entry, isStuck, type StackEntry, type State } from "./state.js";
import { isWhole, staysWhole, sweptState, wholeState } from "./sweep.js";

// The standing rule: no entry whose needs are unmet is ever in the state. It is held in rounds of three parts: what may
// not be shown is taken out, then something is opened in place of what the person saw, then containers are made whole.

/** Trees in which the rule was seen to hold, on which frame and with which facts. */
const held = new WeakMap<StackEntry, { nodes: FixedFrame["nodes"]; facts: Facts }>();

/** Says of a state that came out of an event, and was made anew since, that the rule holds in it. */
export const takenAsHeld = (frame: FixedFrame, { root, facts }: State): void => {
  held.set(root, { nodes: frame.nodes, facts });
};

/** Whether the rule holds as it is; of what was there before the event, where it held, only what changed is looked at. */
const holds = (run: Run, before: State | null, { root, facts }: State): boolean => {
  const mark = before && held.get(before.root);
  const known = mark && mark.nodes === run.frame.nodes ? before.root : null;
  return isWhole(run, facts, root, { entry: known, sameFacts: mark?.facts === facts });
};

/** What may not be there any more of what the person saw: the entry, and the need that is not met, of the entry or of its start. */
interface Wrong extends Unmet {
  entry: Entry;
}

/**
 * What of an entry on the focus path stands by its start, so that it leaves where nothing is left of it and that may not be
 * shown: a hub, a pair's list, a tab's stack, and another stack that its start lies in. Null where there is none.
 */
const byStart = (frame: FixedFrame, entry: Entry, holder: Entry | undefined): Entry | null => {
  if (entry.kind === "pair") return entry.list;
  if (entry.kind !== "stack" || holder?.kind === "hub") return entry.kind === "screen" ? null : entry;
  return holder && entry.entries[0]?.node === startIn(frame, entry.node) ? entry : null;
};

/** The outermost entry above the top screen that may not be there; for a container that leaves as its start may not be shown, that start's need. */
const outermostUnmet = (run: Run, { facts, root }: State): Wrong | undefined => {
  const path = focusPath(run, root);
  for (const [i, entry] of path.entries()) {
    const need = unmetOf(run.frame, facts, entry.node);
    if (need) return { id: entry.node, need, entry };
    const started = byStart(run.frame, entry, path[i - 1]);
    if (!started || staysWhole(run, facts, started)) continue;
    const lacks = startLacks(run.frame, facts, started.node);
    if (lacks) return { ...lacks, entry: started };
  }
  return undefined;
};

/** What a person would have opened afresh in place of what was taken out: a screen with values in its address by its stack's start. */
const freshStart = (run: Run, state: State, { entry, id }: Wrong): Waiting | null => {
  const { frame } = run;
  const node = nodeIn(frame, id);
  const waiting = (to: Id): Waiting => ({
    to,
    params: noParams,
    with: noParams,
    as: null,
    motion: null,
    how: "add",
    in: null,
    cold: false,
  });
  if (node?.kind !== "screen" || !namesParams(node)) return waiting(entry.node === id ? id : entry.node);
  const place = placesOf(frame, id).find((each) => holdsNode(state.root, each)) ?? placesOf(frame, id)[0];
  const start = place === undefined ? undefined : startIn(frame, place);
  const first = start === undefined ? undefined : nodeIn(frame, start);
  if (start === undefined || !first || mayStart(frame, state.facts, start)) return null;
  return first.kind === "screen" && namesParams(first) ? null : waiting(start);
};

const namesParams = (node: FixedScreen): boolean => {
  const pattern = patternOf(node);
  return pattern !== null && pattern.names.length > 0;
};

/** Opens what stands in for what the person saw; where the need says so and nothing waits, a fresh start of that waits. */
const redirected = (run: Run, before: State, state: State, wrong: Wrong, otherwise: Id): State => {
  const granted = grant(run, state, askOf(otherwise));
  if (!granted) return state;
  const { ask } = granted;
  note(run, "redirected", ask.to, { to: { id: ask.to, params: ask.params }, why: "swept", from: named(wrong.entry) });
  const next = openGranted(run, state, granted);
  const standIn = standingIn(run, next, granted);
  // what opened in the place of a stand-in that was swept stands in from then on
  if (next.pending)
    return pathTo(state.root, next.pending.standIn) ? next : { ...next, pending: { ...next.pending, standIn } };
  const waits = wrong.need.resume ? freshStart(run, before, wrong) : null;
  return waits ? { ...next, pending: { ...waits, standIn } } : next;
};

/** One round: the state after it, and whether another one may be needed. */
const round = (run: Run, state: State, isNewFact: boolean, canTurn: boolean) => {
  const swept = sweptState(run, state);
  const wrong = swept === state ? undefined : outermostUnmet(run, state);
  if (swept !== state && !canTurn) note(run, "needs-loop", wrong?.id ?? null, { opening: null });
  const opened = isNewFact && state.pending ? resumed(run, state, swept, state.pending) : null;
  let next = opened ?? swept;
  if (!opened && wrong && canTurn) {
    const { otherwise } = wrong.need;
    if (otherwise !== undefined) next = redirected(run, state, next, wrong, otherwise);
  }
  return { state: wholeState(run, next), goesOn: swept !== state || opened !== null };
};

/**
 * The state after an event, once the standing rule holds in it. `before` is the state the event came to; null at a launch.
 * What the rule opens does not bring back an app that was left.
 */
export const stand = (run: Run, before: State | null, after: State): State => {
  if (!hasNeeds(run.frame)) return after;
  const { outside } = after;
  let state = after;
  let isNewFact = before !== null && !sameFacts(before.facts, state.facts);
  const isHeld = !(isNewFact && state.pending) && holds(run, before, state);
  for (let turn = 0; !isHeld; turn += 1) {
    const next = round(run, state, isNewFact, turn < mostTurns);
    state = next.state;
    isNewFact = false;
    if (!next.goesOn || turn >= mostTurns) break;
  }
  // what waits is given up when what stood in for it is not there any more
  if (state.pending && !pathTo(state.root, state.pending.standIn)) state = { ...state, pending: null };
  if (isStuck(state)) note(run, "stuck", null, {});
  held.set(state.root, { nodes: run.frame.nodes, facts: state.facts });
  return state.outside === outside ? state : { ...state, outside };
};
