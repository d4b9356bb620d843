import { startOf } from "../frame/defaults.js";
import { nodeAt, stackAt } from "../frame/nodes.js";
import type { Id } from "../frame/parts.js";
import { firstOf, lastOf, sure } from "../frame/sure.js";
import { entriesInside, withChild, withEntries, withHub, withoutDetail, withoutTab, withPair } from "./entries.js";
import { firstOverlay, topOf } from "./focus.js";
import { type Ask, grant, type Granted, pendingAfter } from "./grant.js";
import { type Entering, fresh, freshRoot, madeOnTheWay, newScreen } from "./make.js";
import type { ClosedBy, Named } from "./notes.js";
import { lose, named, note, type Run, sameParams } from "./run.js";
import type { ContainerEntry, Entry, HubEntry, PairEntry, StackEntry, State } from "./state.js";
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
    return isCovered ? withEntries(stack, entries.slice(0, first)) : stack;
  }
  const bottom = firstOf(entries);
  if (startOf(stackAt(run.frame, stack.node)) === id && isSame(bottom)) {
    closeAbove(run, entries, 1, { why: "starts", by: what });
    return withEntries(stack, [bottom]);
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
  return stack;
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
  if (sameParams(there.params, ask.params)) return there;
  lose(run, there);
  return madeOnTheWay(run, way, i, enteringBy(ask));
};

const intoHub = (run: Run, hub: HubEntry, way: readonly Id[], i: number, ask: Ask): HubEntry => {
  const next = sure(way[i + 1], "the next of a way");
  const there = hub.tabs[next];
  if (hub.active !== next) note(run, "switched", next, { tab: next, for: asked(ask) });
  const inner = there ? intoSlot(run, there, way, i + 1, ask) : madeOnTheWay(run, way, i + 1, enteringBy(ask));
  return withTab(run, hub, next, inner);
};

/** The screen that lies at the bottom of a pane. */
const bottomOf = (entry: Entry): Entry => (entry.kind === "stack" ? bottomOf(firstOf(entry.entries)) : entry);

const intoDetail = (run: Run, there: Entry | null, way: readonly Id[], i: number, ask: Ask): Entry => {
  const made = () => madeOnTheWay(run, way, i, enteringBy(ask));
  if (!there) return made();
  const fromInside = ask.from?.some((entry) => entry.key === there.key) ?? false;
  if (fromInside) return intoSlot(run, there, way, i, ask);
  const isTarget = i === way.length - 1;
  if (isTarget && there.kind !== "screen") return there;
  const bottom = bottomOf(there);
  if (bottom.node === ask.to && sameParams(bottom.params, ask.params)) {
    note(run, "already-there", ask.to, { what: asked(ask), how: "detail" });
    return atRoot(run, there, false);
  }
  lose(run, there);
  return made();
};

const intoPair = (run: Run, pair: PairEntry, way: readonly Id[], i: number, ask: Ask): PairEntry => {
  const { list, detail } = pair;
  if (way[i + 1] === list.node) return withPair(pair, { list: intoSlot(run, list, way, i + 1, ask), side: "list" });
  return withPair(pair, {
    list: list.kind === "stack" ? closeOverlays(run, list, { why: "opened-beside", by: asked(ask) }) : list,
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

/** Everything on the way but the way itself closed, and the visits of its hubs forgotten. */
const cleared = (run: Run, entry: Entry, way: readonly Id[], i: number): Entry => {
  if (way[i + 1] === undefined || entry.kind === "screen") return entry;
  if (entry.kind === "stack") {
    closeAbove(run, entry.entries.slice(0, -1), 0, { why: "clears" });
    return withEntries(entry, [cleared(run, lastOf(entry.entries), way, i + 1)]);
  }
  const child = sure(
    entriesInside(entry).find((inner) => inner.node === way[i + 1]),
    "the next entry of a way",
  );
  const next = withChild<ContainerEntry>(entry, child, cleared(run, child, way, i + 1));
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
  for (const [id, tab] of Object.entries(tabs)) {
    const left = without(run, tab, key);
    if (left === tab) continue;
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
export const openGranted = (run: Run, state: State, { ask, way }: Granted): State => {
  let root = asStack(walk(run, state.root, way, 0, ask));
  if (ask.how === "clear") root = asStack(cleared(run, root, way, 0));
  if (ask.how === "replace") root = withoutAsker(run, root, lastOf(ask.from));
  if (root === state.root && !state.outside && state.drawer === null) return state;
  return { ...state, root, outside: false, drawer: null };
};

/** Opens a node, or what stands in for it as its needs are not met. */
export const open = (run: Run, state: State, ask: Ask): State => {
  const granted = grant(run, state, ask);
  if (!granted) return state;
  const next = openGranted(run, state, granted);
  const pending = pendingAfter(state.pending, granted);
  return pending === next.pending ? next : { ...next, pending };
};
