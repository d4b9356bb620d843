import { lastOf } from "../frame/sure.js";
import type { Id } from "../frame/parts.js";
import type { ContainerEntry, Entry, HubEntry, PairEntry, Pane, ScreenEntry, StackEntry, State } from "./state.js";

// The tree of entries: looking into it, and copies of it with something changed. What is not changed is the same object,
// so that who compares two trees can pass over it. Copies are written out key by key: making them is most of what a step
// does, and this is the fastest way.

const noEntries: readonly Entry[] = [];

/** Whether whoever gave the entry says that it only holds the place of a tab that was not made yet. Nobody has to. */
export const isUnmade = (entry: Entry & { isUnmade?: boolean }): boolean => entry.isUnmade === true;

/** A tab of a hub; undefined while it was not made. */
export const tabOf = ({ tabs }: HubEntry, id: Id): Entry | undefined => {
  const tab = tabs[id];
  return tab && !isUnmade(tab) ? tab : undefined;
};

/** All entries directly inside, shown or not. */
export const entriesInside = (entry: Entry): readonly Entry[] => {
  switch (entry.kind) {
    case "screen":
      return noEntries;
    case "stack":
      return entry.entries;
    case "hub":
      return madeTabs(entry);
    case "pair":
      return entry.detail ? [entry.list, entry.detail] : [entry.list];
  }
};

const madeTabs = ({ tabs }: HubEntry): readonly Entry[] => {
  const all = Object.values(tabs);
  return all.some(isUnmade) ? all.filter((tab) => !isUnmade(tab)) : all;
};

/** The entry of a node directly inside, of several the last. */
export const insideOf = (entry: Entry, id: Id): Entry | undefined =>
  entry.kind === "hub" ? tabOf(entry, id) : entriesInside(entry).findLast(({ node }) => node === id);

/** The tab of a hub that is chosen. */
export const activeTab = ({ tabs, active, node }: HubEntry): Entry => {
  const tab = tabs[active];
  if (!tab) throw new Error(`the hub ${node} shows no tab`);
  return tab;
};

/** Whether an entry of a node is in there, shown or not. */
export const holdsNode = (from: Entry, id: Id): boolean =>
  from.node === id || entriesInside(from).some((inner) => holdsNode(inner, id));

/** The stack with these entries; the same one when they are the same. */
export const withEntries = (stack: StackEntry, entries: readonly Entry[]): StackEntry => {
  if (entries === stack.entries) return stack;
  const { key, node, params, carried, opens, motion, ui, since } = stack;
  return { kind: "stack", key, node, params, carried, opens, motion, ui, since, entries };
};

/** The hub with some of what it holds changed. */
export const withHub = (hub: HubEntry, change: Partial<Pick<HubEntry, "active" | "visits" | "tabs">>): HubEntry => {
  const { key, node, params, carried, opens, motion, ui, since } = hub;
  const { active = hub.active, visits = hub.visits, tabs = hub.tabs } = change;
  return { kind: "hub", key, node, params, carried, opens, motion, ui, since, active, visits, tabs };
};

/** The pair with some of what it holds changed; the same one when nothing is. */
export const withPair = (pair: PairEntry, change: Partial<Pick<PairEntry, "list" | "detail" | "side">>): PairEntry => {
  const { list = pair.list, detail = pair.detail, side = pair.side } = change;
  if (list === pair.list && detail === pair.detail && side === pair.side) return pair;
  const { key, node, params, carried, opens, motion, ui, since } = pair;
  return { kind: "pair", key, node, params, carried, opens, motion, ui, since, list, detail, side };
};

/** The pair without its detail. */
export const withoutDetail = (pair: PairEntry): PairEntry => withPair(pair, { detail: null, side: "list" });

/** The pair with another pane. */
export const withPane = (pair: PairEntry, pane: Pane, entry: Entry): PairEntry =>
  withPair(pair, pane === "list" ? { list: entry } : { detail: entry });

/** The hub without one of its tabs. */
export const withoutTab = (hub: HubEntry, id: Id): HubEntry => {
  const { [id]: _, ...tabs } = hub.tabs;
  return withHub(hub, { tabs });
};

/** The container with one of the entries directly inside it replaced; the same one when that is the same. */
export const withChild = <T extends ContainerEntry>(container: T, old: Entry, child: Entry): T =>
  replaced(container, old, child) as T;

const replaced = (container: ContainerEntry, old: Entry, child: Entry): ContainerEntry => {
  if (old === child) return container;
  if (container.kind === "hub") return withHub(container, { tabs: { ...container.tabs, [old.node]: child } });
  if (container.kind === "pair") return withPane(container, container.list === old ? "list" : "detail", child);
  const entries = container.entries.slice();
  entries[entries.lastIndexOf(old)] = child;
  return withEntries(container, entries);
};

/** A list mapped, without what became null; the same list when nothing was changed. */
const mapped = (entries: readonly Entry[], change: (entry: Entry) => Entry | null): readonly Entry[] => {
  let made: Entry[] | null = null;
  for (let i = 0; i < entries.length; i += 1) {
    const entry = entries[i];
    if (!entry) continue;
    const next = change(entry);
    if (next !== entry) made ??= entries.slice(0, i);
    if (made && next) made.push(next);
  }
  return made ?? entries;
};

const mappedTabs = (hub: HubEntry, change: (entry: Entry) => Entry | null): HubEntry => {
  let isSame = true;
  const tabs: Record<Id, Entry> = {};
  for (const [id, tab] of Object.entries(hub.tabs)) {
    const next = change(tab);
    isSame &&= next === tab;
    if (next) tabs[id] = next;
  }
  return isSame ? hub : withHub(hub, { tabs });
};

/**
 * The one fold over the tree: a container with every entry directly inside it mapped, in order. Null takes an entry out;
 * a pair without its list is none, so that gives null, and its detail is not asked. What did not change is the same.
 */
export const mapEntries = (
  container: ContainerEntry,
  change: (inner: Entry) => Entry | null,
): ContainerEntry | null => {
  if (container.kind === "stack") return withEntries(container, mapped(container.entries, change));
  if (container.kind === "hub") return mappedTabs(container, change);
  const list = change(container.list);
  if (!list) return null;
  const detail = container.detail && change(container.detail);
  return withPair(container, { list, detail, ...(detail === null && { side: "list" }) });
};

/** The same for a change that takes nothing out. */
export const mapAll = (container: ContainerEntry, change: (inner: Entry) => Entry): ContainerEntry =>
  mapEntries(container, change) ?? container;

/** The entries from one down to the one with this key, shown or not; null if it is not in there. */
export const pathTo = (from: Entry, key: number): Entry[] | null => {
  if (from.key === key) return [from];
  // what is looked for mostly is what can be seen
  const shown = from.kind === "hub" ? from.tabs[from.active] : undefined;
  let path = shown ? pathTo(shown, key) : null;
  if (!path)
    for (const inner of entriesInside(from)) {
      path = inner === shown ? null : pathTo(inner, key);
      if (path) break;
    }
  path?.unshift(from);
  return path;
};

/** The first entry of a path once the one at depth `i` is another. */
export const replacedOn = (path: readonly Entry[], i: number, entry: Entry): Entry => {
  let at = entry;
  for (let up = i - 1; up >= 0; up -= 1) {
    const [container, old] = [path[up], path[up + 1]];
    if (container && old && container.kind !== "screen") at = replaced(container, old, at);
  }
  return at;
};

/** The state once the entry at depth `i` of a path from its root is another. */
export const withAt = (state: State, path: readonly Entry[], i: number, entry: Entry): State => {
  const at = replacedOn(path, i, entry);
  return at.kind === "stack" && at !== state.root ? { ...state, root: at } : state;
};

/** The state with the screen at the end of a path from the root changed. */
export const changedAt = (state: State, path: readonly Entry[], change: (entry: ScreenEntry) => ScreenEntry): State => {
  const last = lastOf(path);
  if (last.kind !== "screen") return state;
  const next = change(last);
  return next === last ? state : withAt(state, path, path.length - 1, next);
};
