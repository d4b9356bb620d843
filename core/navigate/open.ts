import { indexOf, isAttached, placesOf } from "../frame/frame-index.js";
import { startOf } from "../frame/defaults.js";
import type { How, Id, Opens, StackNode } from "../frame/types.js";
import { opensOf } from "../frame/opens.js";
import { firstOverlay, focusPath, topOf } from "./focus.js";
import { fresh, madeOnTheWay } from "./make.js";
import { type Entering, lose, nameOf, newScreen, nodeIn, note, type Run, sameParams } from "./run.js";
import {
  type ContainerEntry,
  type Entry,
  entriesInside,
  type HubEntry,
  isHub,
  isPair,
  isStack,
  type PairEntry,
  type Params,
  type StackEntry,
  type State,
  withChild,
  withEntries,
  withHub,
  withPair,
} from "./state.js";
import { atRoot, withTab } from "./tabs.js";

/** What is asked when a node is opened. */
export interface Ask {
  to: Id;
  params: Params;
  with: Params;
  as: Opens | null;
  how: How;
  /** The entries from the root to the screen that asked; null when none did: then the focus path stands for it. */
  from: readonly Entry[] | null;
}

/** The ids from the root to the node, by the place that the asking screen is nearest to; null if it stands nowhere. */
export const wayTo = (run: Run, to: Id, from: readonly Entry[]): readonly Id[] | null => {
  if (to === run.frame.root) return [to];
  const places = placesOf(run.frame, to);
  let place = places[0];
  if (place === undefined) return null;
  if (places.length > 1) for (const entry of from) if (entry.inside && places.includes(entry.node)) place = entry.node;
  return [...indexOf(run.frame).ways.get(place)!, to];
};

const closeAbove = (run: Run, entries: readonly Entry[], from: number, why: string): void => {
  for (let i = entries.length - 1; i >= from; i -= 1) {
    const entry = entries[i]!;
    note(run, "closed", entry.node, `${nameOf(run.frame, entry.node, entry.params)} was closed: ${why}`);
    lose(run, entry);
  }
};

const closeOverlays = (run: Run, stack: StackEntry, why: string): StackEntry => {
  const { entries } = stack.inside;
  const first = firstOverlay(run, stack);
  if (first === entries.length) return stack;
  closeAbove(run, entries, first, why);
  return withEntries(stack, entries.slice(0, first));
};

const layScreen = (run: Run, stack: StackEntry, id: Id, ask: Ask): StackEntry => {
  const { entries } = stack.inside;
  const isSame = (entry: Entry): boolean => entry.node === id && sameParams(entry.params, ask.params);
  const name = () => nameOf(run.frame, id, ask.params);
  const laid = (on: StackEntry): StackEntry =>
    withEntries(on, [...on.inside.entries, newScreen(run, id, enteringBy(ask))]);
  if ((ask.as ?? opensOf(run.frame, nodeIn(run, id)!, run.view)) !== "push") {
    if (!isSame(entries.at(-1)!)) return laid(stack);
    note(run, "already-there", id, `${name()} is on top already: nothing was laid over it.`);
    return stack;
  }
  const first = firstOverlay(run, stack);
  if (isSame(entries[first - 1]!)) {
    const covered = first < entries.length;
    const why = covered
      ? "lay right beneath: what lay over it was closed"
      : "is on top already: nothing was laid over it";
    note(run, "already-there", id, `${name()} ${why}.`);
    for (let i = entries.length - 1; i >= first; i -= 1) lose(run, entries[i]!);
    return covered ? withEntries(stack, entries.slice(0, first)) : stack;
  }
  const bottom = entries[0]!;
  if (startOf(nodeIn(run, stack.node) as StackNode) === id && isSame(bottom)) {
    closeAbove(run, entries, 1, `${name()} starts this stack and lies at its bottom, so opening it goes down to it.`);
    return withEntries(stack, [bottom]);
  }
  return laid(closeOverlays(run, stack, `${name()} was pushed, and what lies over a screen gives way to a push.`));
};

const enteringBy = (ask: Ask): Entering => ({ params: ask.params, carried: ask.with, opens: ask.as });

const intoStack = (run: Run, stack: StackEntry, way: readonly Id[], i: number, ask: Ask): StackEntry => {
  const next = way[i + 1]!;
  const node = nodeIn(run, next)!;
  if (node.kind === "screen") return layScreen(run, stack, next, ask);
  const { entries } = stack.inside;
  const at = entries.findLastIndex((candidate) => candidate.node === next);
  if (at >= 0) {
    closeAbove(run, entries, at + 1, `${nameOf(run.frame, next)} lies beneath it, and what was opened lies in there.`);
    const inner = walk(run, entries[at]!, way, i + 1, ask);
    if (at === entries.length - 1) return withChild(stack, entries[at]!, inner);
    return withEntries(stack, [...entries.slice(0, at), inner]);
  }
  const as = (i + 2 === way.length ? ask.as : null) ?? opensOf(run.frame, node, run.view);
  const why = `${nameOf(run.frame, next)} was pushed, and what lies over a screen gives way to a push.`;
  const on = as === "push" ? closeOverlays(run, stack, why) : stack;
  return withEntries(on, [...on.inside.entries, madeOnTheWay(run, way, i + 1, enteringBy(ask))]);
};

/** What stands in a tab or a pane once the way goes through there: a screen is replaced when its params are others. */
const intoSlot = (run: Run, there: Entry, way: readonly Id[], i: number, ask: Ask): Entry => {
  if (there.inside) return walk(run, there, way, i, ask);
  if (sameParams(there.params, ask.params)) return there;
  lose(run, there);
  return madeOnTheWay(run, way, i, enteringBy(ask));
};

const intoHub = (run: Run, hub: HubEntry, way: readonly Id[], i: number, ask: Ask): HubEntry => {
  const next = way[i + 1]!;
  const there = hub.inside.tabs[next];
  if (hub.inside.active !== next)
    note(
      run,
      "switched",
      next,
      `${nameOf(run.frame, next)} is now the tab: ${nameOf(run.frame, ask.to, ask.params)} stands in it.`,
    );
  const inner = there ? intoSlot(run, there, way, i + 1, ask) : madeOnTheWay(run, way, i + 1, enteringBy(ask));
  return withTab(run, hub, next, inner);
};

/** The screen that lies at the bottom of a pane. */
const bottomOf = (entry: Entry): Entry => (isStack(entry) ? bottomOf(entry.inside.entries[0]!) : entry);

const intoDetail = (run: Run, there: Entry | null, way: readonly Id[], i: number, ask: Ask): Entry => {
  const made = () => madeOnTheWay(run, way, i, enteringBy(ask));
  if (!there) return made();
  const fromInside = ask.from?.some((entry) => entry.key === there.key) ?? false;
  if (fromInside) return intoSlot(run, there, way, i, ask);
  const isTarget = i === way.length - 1;
  if (isTarget && there.inside) return there;
  const bottom = bottomOf(there);
  if (bottom.node === ask.to && sameParams(bottom.params, ask.params)) {
    note(run, "already-there", ask.to, `${nameOf(run.frame, ask.to, ask.params)} is the detail already.`);
    return atRoot(run, there, false);
  }
  lose(run, there);
  return made();
};

const intoPair = (run: Run, pair: PairEntry, way: readonly Id[], i: number, ask: Ask): PairEntry => {
  const { list, detail } = pair.inside;
  if (way[i + 1] === list.node) return withPair(pair, { list: intoSlot(run, list, way, i + 1, ask), side: "list" });
  const why = `${nameOf(run.frame, ask.to, ask.params)} was opened in the detail beside it.`;
  return withPair(pair, {
    list: isStack(list) ? closeOverlays(run, list, why) : list,
    detail: intoDetail(run, detail, way, i + 1, ask),
    side: "detail",
  });
};

/** Goes from an entry, that of `way[i]`, down to the last of `way`, making what is not there. */
const walk = (run: Run, entry: Entry, way: readonly Id[], i: number, ask: Ask): Entry => {
  if (way[i + 1] === undefined || !entry.inside) return entry;
  if (isStack(entry)) return intoStack(run, entry, way, i, ask);
  return isHub(entry) ? intoHub(run, entry, way, i, ask) : intoPair(run, entry as PairEntry, way, i, ask);
};

/** Everything on the way but the way itself closed, and the visits of its hubs forgotten. */
const cleared = (run: Run, entry: Entry, way: readonly Id[], i: number): Entry => {
  if (way[i + 1] === undefined || !entry.inside) return entry;
  if (isStack(entry)) {
    const { entries } = entry.inside;
    const top = entries.at(-1)!;
    closeAbove(run, entries.slice(0, -1), 0, "what was opened clears its way.");
    return withEntries(entry, [cleared(run, top, way, i + 1)]);
  }
  const child = entriesInside(entry).find((inner) => inner.node === way[i + 1])!;
  const next = withChild(entry as ContainerEntry, child, cleared(run, child, way, i + 1));
  return isHub(next) ? withHub(next, { visits: [] }) : next;
};

/**
 * The entry without the one that has this key; null when nothing is left of it. A tab and a pane start again instead of
 * leaving, but for a detail of which nothing is left.
 */
const without = (run: Run, entry: Entry, key: number): Entry | null => {
  if (entry.key === key) return null;
  if (isStack(entry)) {
    const { entries } = entry.inside;
    const left = entries.map((inner) => without(run, inner, key));
    if (left.every((inner, i) => inner === entries[i])) return entry;
    const kept = left.filter((inner) => inner !== null);
    return kept.length ? withEntries(entry, kept) : null;
  }
  if (isPair(entry)) {
    const { list, detail } = entry.inside;
    const leftList = without(run, list, key);
    if (leftList !== list) return withPair(entry, { list: leftList ?? fresh(run, list.node) });
    const left = detail && without(run, detail, key);
    if (left === detail) return entry;
    if (left || !detail!.inside) return withPair(entry, { detail: left ?? fresh(run, detail!.node) });
    return withPair(entry, { detail: null, side: "list" });
  }
  if (!isHub(entry)) return entry;
  const { tabs, active } = entry.inside;
  for (const [id, tab] of Object.entries(tabs)) {
    const left = without(run, tab, key);
    if (left === tab) continue;
    if (left) return withHub(entry, { tabs: { ...tabs, [id]: left } });
    if (id === active) return withHub(entry, { tabs: { ...tabs, [id]: fresh(run, id) } });
    const { [id]: _, ...rest } = tabs;
    return withHub(entry, { tabs: rest });
  }
  return entry;
};

/** Opens a node: finds its place, walks there, then does what `how` says. An app that was left is back by it. */
export const open = (run: Run, state: State, ask: Ask): State => {
  const from = ask.from ?? focusPath(run, state.root);
  const way = nodeIn(run, ask.to) && isAttached(run.frame, ask.to) ? wayTo(run, ask.to, from) : null;
  if (!way) {
    note(
      run,
      "unattached",
      ask.to,
      nodeIn(run, ask.to)
        ? `${nameOf(run.frame, ask.to)} stands in no container, so there is nowhere to open it. Put it into a stack or a hub.`
        : `There is no node ${ask.to}.`,
    );
    return state;
  }
  let root = walk(run, state.root, way, 0, { ...ask, from });
  if (ask.how === "clear") root = cleared(run, root, way, 0);
  if (ask.how === "replace") {
    const asker = from.at(-1)!;
    if (topOf(run, root).key !== asker.key) {
      const left = without(run, root, asker.key);
      if (left !== root) lose(run, asker);
      root = left ?? fresh(run, state.root.node);
    }
  }
  if (root === state.root && !state.outside && state.drawer === null) return state;
  return { ...state, root: root as StackEntry, outside: false, drawer: null };
};
