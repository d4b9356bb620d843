import { startOf } from "../frame/defaults.js";
import { nodeAt, screenAt, stackAt } from "../frame/nodes.js";
import { type Id, noParams } from "../frame/parts.js";
import { firstOf, lastOf, sure } from "../frame/sure.js";
import {
  insideOf,
  mapAll,
  tabOf,
  withChild,
  withEntries,
  withHub,
  withoutDetail,
  withoutTab,
  withPair,
} from "./entries.js";
import { firstOverlay, focusPath, overlayOn, topOf } from "./focus.js";
import { type Ask, grant, type Granted } from "./grant.js";
import { type Entering, fresh, freshRoot, madeOnTheWay, newScreen } from "./make.js";
import type { ClosedBy, Named } from "./notes.js";
import { lose, named, note, type Run, sameParams } from "./run.js";
import type { ContainerEntry, Entry, HubEntry, PairEntry, Pending, StackEntry, State } from "./state.js";
import { atRoot, withTab } from "./tabs.js";

const closeAbove = (run: Run, entries: readonly Entry[], from: number, by: ClosedBy): void => {
  for (const entry of entries.slice(from).reverse()) {
    note(run, "closed", entry.node, { what: named(entry), ...by });
    lose(run, entry);
  }
};

const closeOverlays = (run: Run, stack: StackEntry, by: ClosedBy): StackEntry => {
  const first = firstOverlay(run, stack);
  if (first >= stack.entries.length) return stack;
  closeAbove(run, stack.entries, first, by);
  return withEntries(stack, stack.entries.slice(0, first));
};

const asked = ({ to: id, params }: Ask): Named => ({ id, params });
const enteringBy = (ask: Ask): Entering => ({
  params: ask.params,
  carried: ask.with,
  opens: ask.as,
  motion: ask.motion,
});

/** What is there already takes what is handed over now. */
const handed = (entry: Entry, ask: Ask): Entry =>
  ask.with === noParams || sameParams(entry.carried, ask.with) ? entry : { ...entry, carried: ask.with };

/** The stack with these entries, of which the last was asked for and is there already. */
const withTop = (stack: StackEntry, entries: readonly Entry[], ask: Ask): StackEntry => {
  const top = lastOf(entries);
  const next = handed(top, ask);
  return withEntries(stack, next === top ? entries : [...entries.slice(0, -1), next]);
};

/** Pushes a screen onto a stack that holds something: what is there already is gone to. */
const pushScreen = (run: Run, stack: StackEntry, id: Id, ask: Ask): StackEntry => {
  const { entries } = stack;
  const what = { id, params: ask.params };
  const isSame = (entry: Entry): boolean => entry.node === id && sameParams(entry.params, ask.params);
  const first = firstOverlay(run, stack);
  if (isSame(sure(entries[first - 1], "the topmost pushed entry"))) {
    const isCovered = first < entries.length;
    note(run, "already-there", id, { what, how: isCovered ? "right-beneath" : "on-top" });
    for (const gone of entries.slice(first).reverse()) lose(run, gone);
    return withTop(stack, isCovered ? entries.slice(0, first) : entries, ask);
  }
  const bottom = firstOf(entries);
  if (startOf(stackAt(run.frame, stack.node)) === id && isSame(bottom)) {
    closeAbove(run, entries, 1, { why: "starts", by: what });
    return withTop(stack, [bottom], ask);
  }
  const on = closeOverlays(run, stack, { why: "pushed", by: what });
  return withEntries(on, [...on.entries, newScreen(run, id, enteringBy(ask))]);
};

const layScreen = (run: Run, stack: StackEntry, id: Id, ask: Ask): StackEntry => {
  const { entries } = stack;
  const top = entries[entries.length - 1];
  const isPush = (ask.as ?? run.look(id).opens) === "push";
  // a stack that the sweep has just emptied holds nothing
  if (isPush && top) return pushScreen(run, stack, id, ask);
  if (isPush || !top || top.node !== id || !sameParams(top.params, ask.params))
    return withEntries(stack, [...entries, newScreen(run, id, enteringBy(ask))]);
  note(run, "already-there", id, { what: { id, params: ask.params }, how: "top-overlay" });
  return withTop(stack, entries, ask);
};

const intoStack = (run: Run, stack: StackEntry, way: readonly Id[], i: number, ask: Ask): StackEntry => {
  const next = sure(way[i + 1], "the next of a way");
  if (nodeAt(run.frame, next).kind === "screen") return layScreen(run, stack, next, ask);
  const { entries } = stack;
  const at = entries.findLastIndex((candidate) => candidate.node === next);
  const there = entries[at];
  if (there) {
    closeAbove(run, entries, at + 1, { why: "lies-beneath", container: { id: next } });
    const inner = walk(run, there, way, i + 1, ask);
    if (at === entries.length - 1) return withChild(stack, there, inner);
    return withEntries(stack, [...entries.slice(0, at), inner]);
  }
  const as = (i + 2 === way.length ? ask.as : null) ?? run.look(next).opens;
  const on = as === "push" ? closeOverlays(run, stack, { why: "pushed", by: { id: next } }) : stack;
  return withEntries(on, [...on.entries, madeOnTheWay(run, way, i + 1, enteringBy(ask))]);
};

/** What stands in a tab or a pane once the way goes through there: a screen is replaced when its params are others. */
const intoSlot = (run: Run, there: Entry, way: readonly Id[], i: number, ask: Ask): Entry => {
  if (there.kind !== "screen") return walk(run, there, way, i, ask);
  if (sameParams(there.params, ask.params)) return handed(there, ask);
  lose(run, there);
  return madeOnTheWay(run, way, i, enteringBy(ask));
};

const intoHub = (run: Run, hub: HubEntry, way: readonly Id[], i: number, ask: Ask): HubEntry => {
  const next = sure(way[i + 1], "the next of a way");
  const there = tabOf(hub, next);
  if (hub.active !== next) note(run, "switched", next, { tab: next, for: asked(ask) });
  const inner = there ? intoSlot(run, there, way, i + 1, ask) : madeOnTheWay(run, way, i + 1, enteringBy(ask));
  return withTab(run, hub, next, inner);
};

/** The screen that lies at the bottom of a pane; undefined in a stack that the sweep has just emptied. */
const bottomOf = (entry: Entry): Entry | undefined => {
  if (entry.kind !== "stack") return entry;
  const [first] = entry.entries;
  return first && bottomOf(first);
};

const intoDetail = (run: Run, there: Entry | null, way: readonly Id[], i: number, ask: Ask): Entry => {
  const made = () => madeOnTheWay(run, way, i, enteringBy(ask));
  const bottom = there && bottomOf(there);
  if (!there || !bottom) return made();
  const fromInside = ask.from?.some((entry) => entry.key === there.key) ?? false;
  if (fromInside) return intoSlot(run, there, way, i, ask);
  const isTarget = i === way.length - 1;
  if (isTarget && there.kind !== "screen") return there;
  if (bottom.node === ask.to && sameParams(bottom.params, ask.params)) {
    note(run, "already-there", ask.to, { what: asked(ask), how: "detail" });
    return atRoot(run, there, false);
  }
  lose(run, there);
  return made();
};

/** An entry without the overlays in it, however deep they lie in what shows there. */
const withoutOverlays = (run: Run, entry: Entry, by: ClosedBy): Entry => {
  if (entry.kind === "screen") return entry;
  const own = entry.kind === "stack" ? closeOverlays(run, entry, by) : entry;
  const shows = (inner: Entry): boolean =>
    own.kind === "stack" ? inner === lastOf(own.entries) : own.kind !== "hub" || inner.node === own.active;
  return mapAll(own, (inner) => (shows(inner) ? withoutOverlays(run, inner, by) : inner));
};

const intoPair = (run: Run, pair: PairEntry, way: readonly Id[], i: number, ask: Ask): PairEntry => {
  const { list, detail } = pair;
  const by: ClosedBy = { why: "opened-beside", by: asked(ask) };
  if (way[i + 1] === list.node) {
    const beside = detail && withoutOverlays(run, detail, by);
    return withPair(pair, { list: intoSlot(run, list, way, i + 1, ask), detail: beside, side: "list" });
  }
  return withPair(pair, {
    list: withoutOverlays(run, list, by),
    detail: intoDetail(run, detail, way, i + 1, ask),
    side: "detail",
  });
};

/** Goes from an entry, that of `way[i]`, down to the last of `way`, making what is not there. */
const walk = (run: Run, entry: Entry, way: readonly Id[], i: number, ask: Ask): Entry => {
  if (way[i + 1] === undefined) return entry;
  switch (entry.kind) {
    case "screen":
      return entry;
    case "stack":
      return intoStack(run, entry, way, i, ask);
    case "hub":
      return intoHub(run, entry, way, i, ask);
    case "pair":
      return intoPair(run, entry, way, i, ask);
  }
};

/** The entry of a container that a way goes on with. */
const onWay = (entry: Entry, way: readonly Id[], i: number): Entry =>
  sure(insideOf(entry, sure(way[i + 1])), "the next entry of a way");

/** The depth from which a clearing reaches: that of the innermost overlay on the way in which it is done, else the root's. */
const clearsFrom = (run: Run, { ask: { from }, way }: Granted): number => {
  const onTheWay = from.findIndex((entry, i) => entry.node !== way[i] || i === way.length - 1);
  const shared = from.slice(0, onTheWay < 0 ? from.length : onTheWay);
  return overlayOn(run, shared) + 1;
};

/** Everything on the way but the way itself closed, and the visits of its hubs forgotten. */
const cleared = (run: Run, entry: Entry, way: readonly Id[], i: number, from: number): Entry => {
  if (entry.kind === "screen") return entry;
  if (way[i + 1] === undefined) return entry.kind === "hub" ? withHub(entry, { visits: [] }) : entry;
  if (i < from) {
    const child = onWay(entry, way, i);
    return withChild<ContainerEntry>(entry, child, cleared(run, child, way, i + 1, from));
  }
  if (entry.kind === "stack") {
    closeAbove(run, entry.entries.slice(0, -1), 0, { why: "clears" });
    return withEntries(entry, [cleared(run, lastOf(entry.entries), way, i + 1, from)]);
  }
  const child = onWay(entry, way, i);
  const next = withChild<ContainerEntry>(entry, child, cleared(run, child, way, i + 1, from));
  return next.kind === "hub" ? withHub(next, { visits: [] }) : next;
};

const withoutInPair = (run: Run, pair: PairEntry, key: number): PairEntry => {
  const { list, detail } = pair;
  const leftList = without(run, list, key);
  if (leftList !== list) return withPair(pair, { list: leftList ?? fresh(run, list.node) });
  const left = detail && without(run, detail, key);
  if (left === detail || !detail) return pair;
  if (left || detail.kind === "screen") return withPair(pair, { detail: left ?? fresh(run, detail.node) });
  return withoutDetail(pair);
};

const withoutInHub = (run: Run, hub: HubEntry, key: number): HubEntry => {
  const { tabs, active } = hub;
  for (const id of [active, ...Object.keys(tabs).filter((other) => other !== active)]) {
    const tab = tabOf(hub, id);
    const left = tab && without(run, tab, key);
    if (left === tab || left === undefined) continue;
    if (!left && id !== active) return withoutTab(hub, id);
    return withHub(hub, { tabs: { ...tabs, [id]: left ?? fresh(run, id) } });
  }
  return hub;
};

/**
 * The entry without the one that has this key; null when nothing is left of it. A tab and a pane start again instead of
 * leaving, but for a detail of which nothing is left.
 */
const without = (run: Run, entry: Entry, key: number): Entry | null => {
  if (entry.key === key) return null;
  switch (entry.kind) {
    case "screen":
      return entry;
    case "hub":
      return withoutInHub(run, entry, key);
    case "pair":
      return withoutInPair(run, entry, key);
    case "stack": {
      const left = entry.entries.map((inner) => without(run, inner, key));
      if (left.every((inner, i) => inner === entry.entries[i])) return entry;
      const kept = left.filter((inner) => inner !== null);
      return kept.length ? withEntries(entry, kept) : null;
    }
  }
};

/** The root once the screen that asked is taken out, as what was opened stands in its place. */
const withoutAsker = (run: Run, root: StackEntry, asker: Entry): StackEntry => {
  if (asker.kind !== "screen" || topOf(run, root).key === asker.key) return root;
  const left = without(run, root, asker.key);
  if (left !== root) lose(run, asker);
  return left?.kind === "stack" ? left : freshRoot(run);
};

const asStack = (root: Entry): StackEntry => {
  if (root.kind !== "stack") throw new Error("the root is no stack");
  return root;
};

/** Opens what was granted: walks there, then does what `how` says. An app that was left is back by it. */
export const openGranted = (run: Run, state: State, granted: Granted): State => {
  const { ask, way } = granted;
  let root = asStack(walk(run, state.root, way, 0, ask));
  if (ask.how === "clear") root = asStack(cleared(run, root, way, 0, clearsFrom(run, granted)));
  if (ask.how === "replace") root = withoutAsker(run, root, lastOf(ask.from));
  if (root === state.root && !state.outside && state.drawer === null) return state;
  return { ...state, root, outside: false, drawer: null };
};

/** The key of what was opened in place of something else. */
export const standingIn = (run: Run, next: State, { ask }: Granted): number => {
  const path = focusPath(run, next.root);
  return (path.findLast(({ node }) => node === ask.to) ?? lastOf(path)).key;
};

const isAsked = (pending: Pending, { to, params }: Ask): boolean =>
  pending.to === to && sameParams(pending.params, params);

/** The state with what waits once something was opened: what a redirect of it set, else what waited before, unless that is what was opened. */
export const withWaiting = (run: Run, before: State, next: State, granted: Granted): State => {
  const waited = before.pending && isAsked(before.pending, granted.ask) ? null : before.pending;
  const pending = granted.pending ? { ...granted.pending, standIn: standingIn(run, next, granted) } : waited;
  return pending === next.pending ? next : { ...next, pending };
};

/** The state once a screen that goes on by itself is taken out, as something from outside was opened over it: a splash is never beneath what comes. */
export const withoutSplash = (run: Run, before: State, next: State): State => {
  const top = topOf(run, before.root);
  if (next === before || top.kind !== "screen" || !screenAt(run.frame, top.node).after) return next;
  const root = withoutAsker(run, next.root, top);
  return root === next.root ? next : { ...next, root };
};

/** Opens a node, or what stands in for it as its needs are not met. */
export const open = (run: Run, state: State, ask: Ask): State => {
  const granted = grant(run, state, ask);
  if (!granted) return state;
  return withWaiting(run, state, openGranted(run, state, granted), granted);
};
