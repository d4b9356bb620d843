import { indexOf, isAttached, placesOf } from "../frame/frame-index.js";
import { startOf } from "../frame/defaults.js";
import type { How, Id, Opens, StackNode } from "../frame/types.js";
import { fresh, madeOnTheWay } from "./make.js";
import { lose, nameOf, nodeIn, note, type Run, sameParams } from "./run.js";
import {
  type ContainerEntry,
  type Entry,
  focusPath,
  isHub,
  isStack,
  type Params,
  type StackEntry,
  type State,
  topOf,
  withEntries,
  withHub,
  withShown,
} from "./state.js";
import { withTab } from "./tabs.js";

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

const layScreen = (run: Run, stack: StackEntry, id: Id, ask: Ask): StackEntry => {
  const { entries } = stack.inside;
  const top = entries.at(-1)!;
  const name = () => nameOf(run.frame, id, ask.params);
  if (top.node === id && sameParams(top.params, ask.params)) {
    note(run, "already-there", id, `${name()} is on top already: nothing was laid over it.`);
    return stack;
  }
  const [bottom] = entries;
  if (
    startOf(nodeIn(run, stack.node) as StackNode) === id &&
    bottom!.node === id &&
    sameParams(bottom!.params, ask.params)
  ) {
    closeAbove(run, entries, 1, `${name()} starts this stack and lies at its bottom, so opening it goes down to it.`);
    return withEntries(stack, [bottom!]);
  }
  const entry = madeOnTheWay(run, [id], 0, { params: ask.params, carried: ask.with, opens: ask.as });
  return withEntries(stack, [...entries, entry]);
};

/** Goes from an entry, that of `way[i]`, down to the last of `way`, making what is not there. */
const walk = (run: Run, entry: Entry, way: readonly Id[], i: number, ask: Ask): Entry => {
  const next = way[i + 1];
  if (next === undefined || !entry.inside) return entry;
  const screen = nodeIn(run, next)!.kind === "screen";
  const entering = { params: ask.params, carried: ask.with, opens: ask.as };

  if (isStack(entry)) {
    if (screen) return layScreen(run, entry, next, ask);
    const { entries } = entry.inside;
    const at = entries.findLastIndex((candidate) => candidate.node === next);
    if (at < 0) return withEntries(entry, [...entries, madeOnTheWay(run, way, i + 1, entering)]);
    closeAbove(run, entries, at + 1, `${nameOf(run.frame, next)} lies beneath it, and what was opened lies in there.`);
    const inner = walk(run, entries[at]!, way, i + 1, ask);
    return at === entries.length - 1 ? withShown(entry, inner) : withEntries(entry, [...entries.slice(0, at), inner]);
  }

  const hub = entry as Extract<ContainerEntry, { inside: { kind: "hub" } }>;
  const there = hub.inside.tabs[next];
  if (hub.inside.active !== next)
    note(
      run,
      "switched",
      next,
      `${nameOf(run.frame, next)} is now the tab: ${nameOf(run.frame, ask.to, ask.params)} stands in it.`,
    );
  if (!there) return withTab(run, hub, next, madeOnTheWay(run, way, i + 1, entering));
  if (!screen) return withTab(run, hub, next, walk(run, there, way, i + 1, ask));
  if (sameParams(there.params, ask.params)) return withTab(run, hub, next, there);
  lose(run, there);
  return withTab(run, hub, next, madeOnTheWay(run, way, i + 1, entering));
};

/** Everything on the way but the way itself closed, and the visits of its hubs forgotten. */
const cleared = (run: Run, entry: Entry, steps: number): Entry => {
  if (steps === 0 || !entry.inside) return entry;
  if (isStack(entry)) {
    const { entries } = entry.inside;
    const top = entries.at(-1)!;
    closeAbove(run, entries.slice(0, -1), 0, "what was opened clears its way.");
    return withEntries(entry, [cleared(run, top, steps - 1)]);
  }
  const hub = entry as Extract<ContainerEntry, { inside: { kind: "hub" } }>;
  return withHub(withShown(hub, cleared(run, hub.inside.tabs[hub.inside.active]!, steps - 1)), { visits: [] });
};

/** The entry without the one that has this key; null when nothing is left of it. A tab starts again instead of leaving. */
const without = (run: Run, entry: Entry, key: number): Entry | null => {
  if (entry.key === key) return null;
  if (isStack(entry)) {
    const { entries } = entry.inside;
    const left = entries.map((inner) => without(run, inner, key));
    if (left.every((inner, i) => inner === entries[i])) return entry;
    const kept = left.filter((inner) => inner !== null);
    return kept.length ? withEntries(entry, kept) : null;
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
  const from = ask.from ?? focusPath(state.root);
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
  let root = walk(run, state.root, way, 0, ask);
  if (ask.how === "clear") root = cleared(run, root, way.length - 1);
  if (ask.how === "replace") {
    const asker = from.at(-1)!;
    if (topOf(root).key !== asker.key) {
      const left = without(run, root, asker.key);
      if (left !== root) lose(run, asker);
      root = left ?? fresh(run, state.root.node);
    }
  }
  if (root === state.root && !state.outside && state.drawer === null) return state;
  return { ...state, root: root as StackEntry, outside: false, drawer: null };
};
