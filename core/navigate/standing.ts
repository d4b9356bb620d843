import { hasNeeds, sameFacts, unmetOf } from "../frame/needs.js";
import type { Facts, Id } from "../frame/parts.js";
import type { FixedFrame } from "../frame/types.js";
import { holdsNode } from "./entries.js";
import { focusPath } from "./focus.js";
import { askOf, grant, mostTurns } from "./grant.js";
import { openGranted } from "./open.js";
import { resumed } from "./resume.js";
import { named, note, type Run } from "./run.js";
import { type Entry, isStuck, type StackEntry, type State } from "./state.js";
import { type Known, sweptState, wholeState } from "./sweep.js";

// The standing rule: no entry whose needs are unmet is ever in the state. It is held in rounds of three parts: what may
// not be shown is taken out, then something is opened in place of what the person saw, then containers are made whole.

/** Trees in which the rule was seen to hold, on which frame and with which facts. */
const held = new WeakMap<StackEntry, { nodes: FixedFrame["nodes"]; facts: Facts }>();

/** What need not be looked at again, as nothing of it changed since the last event. */
const knownOf = (run: Run, before: State | null, facts: Facts): Known | null => {
  const mark = before && held.get(before.root);
  return mark && mark.nodes === run.frame.nodes && mark.facts === facts ? { root: before.root } : null;
};

/** The outermost entry above the top screen that may not be there; for a pair that leaves with its list, that list. */
const outermostUnmet = (run: Run, { facts, root }: State): Entry | undefined => {
  const isUnmet = (entry: Entry): boolean => unmetOf(run.frame, facts, entry.node) !== undefined;
  for (const entry of focusPath(run, root)) {
    if (isUnmet(entry)) return entry;
    if (entry.kind === "pair" && isUnmet(entry.list)) return entry.list;
  }
  return undefined;
};

/** What waited is given up when what stood in for it has left in any other way than by the sweep. */
const withPendingKept = (before: State | null, after: State): State => {
  const { pending } = after;
  if (!pending || holdsNode(after.root, pending.standIn)) return after;
  const wasThere = before?.pending !== pending || holdsNode(before.root, pending.standIn);
  return wasThere ? { ...after, pending: null } : after;
};

/** Opens what stands in for what the person saw; a sweep makes nothing wait. */
const redirected = (run: Run, state: State, wrong: Entry, otherwise: Id): State => {
  const granted = grant(run, state, askOf(otherwise));
  if (!granted) return state;
  const { ask } = granted;
  note(run, "redirected", ask.to, { to: { id: ask.to, params: ask.params }, why: "swept", from: named(wrong) });
  return openGranted(run, state, granted);
};

/** One round: the state after it, and whether another one may be needed. */
const round = (run: Run, state: State, known: Known | null, isNewFact: boolean, canTurn: boolean) => {
  const swept = sweptState(run, state, known);
  const wrong = swept === state ? undefined : outermostUnmet(run, state);
  if (swept !== state && !canTurn) note(run, "needs-loop", wrong?.node ?? null, { opening: null });
  const opened = isNewFact && state.pending ? resumed(run, state, swept, state.pending) : null;
  let next = opened ?? swept;
  if (!opened && wrong && canTurn) {
    const otherwise = unmetOf(run.frame, state.facts, wrong.node)?.otherwise;
    if (otherwise !== undefined) next = redirected(run, next, wrong, otherwise);
  }
  return { state: wholeState(run, next, known), goesOn: swept !== state || opened !== null };
};

/**
 * The state after an event, once the standing rule holds in it. `before` is the state the event came to; null at a launch.
 * What the rule opens does not bring back an app that was left.
 */
export const stand = (run: Run, before: State | null, after: State): State => {
  if (!hasNeeds(run.frame)) return after;
  const { outside } = after;
  let state = withPendingKept(before, after);
  const known = knownOf(run, before, state.facts);
  let isNewFact = before !== null && !sameFacts(before.facts, state.facts);
  for (let turn = 0; ; turn += 1) {
    const next = round(run, state, known, isNewFact, turn < mostTurns);
    state = next.state;
    isNewFact = false;
    if (!next.goesOn || turn >= mostTurns) break;
  }
  if (isStuck(state)) note(run, "stuck", null, {});
  held.set(state.root, { nodes: run.frame.nodes, facts: state.facts });
  return state.outside === outside ? state : { ...state, outside };
};
