import { childrenOf, startOf } from "../frame/defaults.js";
import type { HubNode, Id } from "../frame/types.js";
import { focusPath } from "./focus.js";
import { laid } from "./lay.js";
import { fresh } from "./make.js";
import { hasNeeds, mayStart, needWords, sameFacts, unmetOf } from "../frame/needs.js";
import { askOf, grant, type Granted, mostTurns, openGranted } from "./open.js";
import { lose, note, type Run } from "./run.js";
import { nameOf } from "../frame/names.js";
import { type ContainerEntry, type Entry, entriesInside, type HubEntry, holdsNode, isHub, isPair, isStack, isStuck, type PairEntry, type Pending, rebuilt, pathTo, type StackEntry, type State, withEntries, withHub, withPair } from "./state.js";

// The standing rule: no entry whose needs are unmet is ever in the state. It is held in rounds of three parts: what may
// not be shown is taken out, then something is opened in place of what the person saw, then containers are made whole.

type Facts = State["facts"];

/** Without the entries whose needs are unmet; containers may be left empty by it. Null when the entry itself goes. */
const swept = (run: Run, facts: Facts, entry: Entry): Entry | null => {
  const need = unmetOf(run.frame, facts, entry.node);
  if (need) {
    const name = nameOf(run.frame, entry.node, entry.params);
    note(run, "swept", entry.node, `${name} was taken out: it needs ${needWords(run.frame, need)}.`);
    lose(run, entry);
    return null;
  }
  if (!entry.inside) return entry;
  if (isStack(entry)) {
    const { entries } = entry.inside;
    const left = entries.flatMap((inner) => swept(run, facts, inner) ?? []);
    return left.length === entries.length && left.every((inner, i) => inner === entries[i])
      ? entry
      : withEntries(entry, left);
  }
  if (isHub(entry)) {
    const was = Object.entries(entry.inside.tabs);
    const left = was.flatMap(([id, tab]) => {
      const inner = swept(run, facts, tab);
      return inner ? [[id, inner] as const] : [];
    });
    return left.length === was.length && left.every(([, tab], i) => tab === was[i]![1])
      ? entry
      : withHub(entry, { tabs: Object.fromEntries(left) });
  }
  const { list, detail } = (entry as PairEntry).inside;
  const leftList = swept(run, facts, list);
  if (!leftList) {
    if (detail) lose(run, detail);
    return null;
  }
  const leftDetail = detail && swept(run, facts, detail);
  return withPair(entry as PairEntry, {
    list: leftList,
    detail: leftDetail,
    ...(leftDetail === null && { side: "list" }),
  });
};

/** A node's entry as it starts; null if that may not be shown. */
const startAgain = (run: Run, facts: Facts, id: Id): Entry | null =>
  mayStart(run.frame, facts, id) ? fresh(run, id) : null;

/**
 * The entry with everything in it whole again: a nested stack that is empty leaves, a tab and a pair's list take their start
 * again, a hub that lost its tab goes to its start, else to the first tab allowed. Null when nothing of it may be shown.
 */
const whole = (run: Run, facts: Facts, entry: Entry): Entry | null => {
  if (!entry.inside) return entry;
  if (isStack(entry)) {
    const { entries } = entry.inside;
    const left = entries.flatMap((inner) => whole(run, facts, inner) ?? []);
    if (left.length === 0) return null;
    return left.length === entries.length && left.every((inner, i) => inner === entries[i])
      ? entry
      : withEntries(entry, left);
  }
  if (isHub(entry)) return wholeHub(run, facts, entry);
  const { list, detail } = (entry as PairEntry).inside;
  const ownList = whole(run, facts, list) ?? startAgain(run, facts, list.node);
  if (!ownList) {
    if (detail) lose(run, detail);
    return null;
  }
  const ownDetail = detail && whole(run, facts, detail);
  return withPair(entry as PairEntry, {
    list: ownList,
    detail: ownDetail,
    ...(ownDetail === null && { side: "list" }),
  });
};

const wholeHub = (run: Run, facts: Facts, hub: HubEntry): HubEntry | null => {
  const tabs: Record<Id, Entry> = {};
  let same = true;
  for (const [id, tab] of Object.entries(hub.inside.tabs)) {
    const left = whole(run, facts, tab) ?? startAgain(run, facts, id);
    if (left) tabs[id] = left;
    same &&= left === tab;
  }
  let { active } = hub.inside;
  if (!tabs[active]) {
    same = false;
    const node = run.frame.nodes[hub.node] as HubNode;
    const to = [startOf(node)!, ...childrenOf(node)].find((id) => tabs[id] ?? mayStart(run.frame, facts, id));
    if (to === undefined) return null;
    tabs[to] ??= fresh(run, to);
    active = to;
  }
  const visits = hub.inside.visits.filter((id) => id !== active && !unmetOf(run.frame, facts, id));
  if (same && visits.length === hub.inside.visits.length) return hub;
  return withHub(hub, { active, tabs, visits });
};

const made = (run: Run, state: State): State => {
  const root =
    whole(run, state.facts, state.root) ?? startAgain(run, state.facts, state.root.node) ?? withEntries(state.root, []);
  if (root === state.root) return state;
  // the root's entry is the same as long as the app runs
  return { ...state, root: withEntries(state.root, (root as StackEntry).inside.entries) };
};

/** The entries of a stand-in and of what lies on it; none if it is a tab or a pair's list, which stay. */
const standInOf = (run: Run, state: State, id: Id): { stack: Entry; keys: Set<number> } | null => {
  const find = (entry: Entry): Entry[] | null => {
    for (const inner of [...entriesInside(entry)].reverse()) {
      if (inner.node === id) return [entry, inner];
      const found = find(inner);
      if (found) return found;
    }
    return null;
  };
  const focus = focusPath(run, state.root);
  const at = focus.findIndex((entry) => entry.node === id);
  const [parent, entry] = at > 0 ? [focus[at - 1]!, focus[at]!] : (find(state.root) ?? []);
  if (!parent || !entry) return null;
  if (isStack(parent)) {
    const { entries } = parent.inside;
    return { stack: parent, keys: new Set(entries.slice(entries.indexOf(entry)).map(({ key }) => key)) };
  }
  return isPair(parent) && parent.inside.detail === entry ? { stack: parent, keys: new Set([entry.key]) } : null;
};

const withoutKeys = (run: Run, state: State, container: Entry, keys: ReadonlySet<number>): State => {
  const path = pathTo(state.root, container.key);
  const at = path?.at(-1);
  if (!path || !at) return state;
  const gone = entriesInside(at).filter((entry) => keys.has(entry.key));
  if (gone.length === 0) return state;
  for (const entry of gone) lose(run, entry);
  const left: ContainerEntry = isStack(at)
    ? withEntries(
        at,
        at.inside.entries.filter((entry) => !keys.has(entry.key)),
      )
    : withPair(at as PairEntry, { detail: null, side: "list" });
  return { ...state, root: rebuilt(path, path.length - 1, left) };
};

/** Lays the way of a link. */
export const layGranted = (run: Run, state: State, { ask, way }: Granted): State => {
  const entering = { params: ask.params, carried: ask.with, opens: ask.as };
  const root = laid(run, { facts: state.facts, way, entering }, 0, ask.link?.cold ? null : state.root) as StackEntry;
  return { ...state, root, drawer: null, outside: false };
};

/**
 * Opens what waits, as nothing of it is unmet now; or, when something else stands in for it now, that. Null if neither.
 * `before` is the state before anything was taken out of it, `now` the one after.
 */
const resumed = (run: Run, before: State, now: State, pending: Pending): State | null => {
  const { to, params, as, how, cold } = pending;
  const ask = {
    ...askOf(to, params),
    with: pending.with,
    as,
    // what was to be replaced is gone: its stand-in took its place, and leaves now
    how: how === "replace" ? ("add" as const) : how,
    ...(cold && { link: { lays: true, cold: false } }),
  };
  const silent: Run = { ...run, notes: [] };
  const first = grant(silent, now, ask);
  if (!first || (first.redirected && first.ask.to === pending.standIn)) return null;

  const old = standInOf(run, before, pending.standIn);
  const stack = old && pathTo(now.root, old.stack.key)?.at(-1);
  const lowest = old && stack && isStack(stack) ? stack.inside.entries.findIndex(({ key }) => old.keys.has(key)) : -1;
  const atOnce = lowest > 0 || (stack !== undefined && stack !== null && isPair(stack));
  let next = atOnce ? withoutKeys(run, now, old!.stack, old!.keys) : now;
  const granted = grant(first.redirected ? run : silent, next, ask) ?? first;
  if (!granted.redirected) {
    const name = nameOf(run.frame, to, params);
    note(run, "resumed", to, `${name} was waiting for what it needs: it is opened now.`);
  }
  next = granted.ask.link && !granted.redirected ? layGranted(run, next, granted) : openGranted(run, next, granted);
  next = { ...next, pending: granted.redirected ? { ...pending, standIn: granted.ask.to } : null };
  if (!old || atOnce) return next;
  const onTheWay = new Set(focusPath(run, next.root).map(({ key }) => key));
  return withoutKeys(run, next, old.stack, new Set([...old.keys].filter((key) => !onTheWay.has(key))));
};

/** The outermost entry above the top screen that may not be there; for a pair that leaves with its list, that list. */
const outermostUnmet = (run: Run, facts: Facts, state: State): Entry | undefined => {
  const isUnmet = (entry: Entry): boolean => unmetOf(run.frame, facts, entry.node) !== undefined;
  for (const entry of focusPath(run, state.root)) {
    if (isUnmet(entry)) return entry;
    if (isPair(entry) && isUnmet(entry.inside.list)) return entry.inside.list;
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

/**
 * The state after an event, once the standing rule holds in it. `before` is the state the event came to; null at a launch.
 * What the rule opens does not bring back an app that was left.
 */
export const stand = (run: Run, before: State | null, after: State): State => {
  if (!hasNeeds(run.frame)) return after;
  const { outside } = after;
  let state = withPendingKept(before, after);
  let changed = before !== null && !sameFacts(before.facts, state.facts);
  for (let turn = 0; ; turn += 1) {
    const { facts } = state;
    const wrong = outermostUnmet(run, facts, state);
    const root = swept(run, facts, state.root) as StackEntry | null;
    let next: State = root === state.root ? state : { ...state, root: root ?? withEntries(state.root, []) };
    const isSwept = next !== state;
    const canTurn = turn < mostTurns;
    if (isSwept && !canTurn)
      note(
        run,
        "needs-loop",
        wrong?.node ?? null,
        "What stands in for what may not be shown needs something itself, and so on.",
      );
    const opened = changed && state.pending ? resumed(run, state, next, state.pending) : null;
    changed = false;
    if (opened) next = opened;
    else if (wrong && canTurn) {
      const otherwise = unmetOf(run.frame, facts, wrong.node)?.otherwise;
      if (otherwise !== undefined) next = redirected(run, next, wrong, otherwise);
    }
    state = made(run, next);
    if ((!isSwept && !opened) || !canTurn) break;
  }
  if (isStuck(state))
    note(run, "stuck", null, "Nothing of this app may be shown now: every start of it needs something that is not so.");
  return state.outside === outside ? state : { ...state, outside };
};

/** Opens what stands in for what the person saw; a sweep makes nothing wait. */
const redirected = (run: Run, state: State, wrong: Entry, otherwise: Id): State => {
  const granted = grant(run, state, askOf(otherwise));
  if (!granted) return state;
  const { ask } = granted;
  const name = nameOf(run.frame, ask.to, ask.params);
  note(run, "redirected", ask.to, `${name} was opened in place of ${nameOf(run.frame, wrong.node, wrong.params)}.`);
  return openGranted(run, state, granted);
};
