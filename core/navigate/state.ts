import type { Facts, How, Id, Opens, Params } from "../frame/types.js";

/** What the person left on a screen. */
export interface Ui {
  /** px from the top. */
  scroll: number;
  drafts: Readonly<Record<string, string>>;
  /** The row picked last. */
  picked: number | null;
  /** What a closed flow gave back. */
  received: Readonly<Record<string, string>> | null;
}

export const emptyUi: Ui = { scroll: 0, drafts: {}, picked: null, received: null };


interface EntryCommon {
  /** Unique in a session; never used again. */
  key: number;
  node: Id;
  params: Params;
  /** Values handed over that are in no address. */
  carried: Params;
  /** How it was asked to appear, or null: then as its node says in the view at hand. */
  opens: Opens | null;
  ui: Ui;
  /** The clock (ms) when it last became the top screen; null once its `after` has fired. */
  since: number | null;
}

export interface ScreenEntry extends EntryCommon {
  inside?: undefined;
}
export interface StackInside {
  kind: "stack";
  /** Lowest first; empty only in the root, when nothing may be shown. */
  entries: readonly Entry[];
}
export interface HubInside {
  kind: "hub";
  active: Id;
  /** Tabs left before, each once, the last one last; never the active one. */
  visits: readonly Id[];
  /** Made when first shown. */
  tabs: Readonly<Record<Id, Entry>>;
}
/** The two panes of a pair. */
export type Pane = "list" | "detail";
export interface PairInside {
  kind: "pair";
  list: Entry;
  /** Null as long as no row was opened. */
  detail: Entry | null;
  /** The pane last opened into; `list` when there is no detail. */
  side: Pane;
}
export type Inside = StackInside | HubInside | PairInside;
export interface StackEntry extends EntryCommon {
  inside: StackInside;
}
export interface HubEntry extends EntryCommon {
  inside: HubInside;
}
export interface PairEntry extends EntryCommon {
  inside: PairInside;
}
export type ContainerEntry = StackEntry | HubEntry | PairEntry;
/** One thing in the state: a tree of them mirrors the frame. */
export type Entry = ScreenEntry | ContainerEntry;

/** What waits to be opened until its needs are met. */
export interface Pending {
  to: Id;
  params: Params;
  with: Params;
  as: Opens | null;
  how: How;
  /** A link asked for it, and lays its way as a cold one does. */
  cold: boolean;
  /** What was opened instead. */
  standIn: Id;
}

/** Where the person is in the app. It knows nothing of sizes: the same in every view. A value, never changed in place. */
export interface State {
  root: StackEntry;
  facts: Facts;
  /** The hub whose drawer is open. */
  drawer: Id | null;
  pending: Pending | null;
  /** ms since the launch. */
  clock: number;
  /** The app was left by Back; its entries are kept. */
  outside: boolean;
  /** The key of the next entry. */
  nextKey: number;
}

export const isStack = (entry: Entry): entry is StackEntry => entry.inside?.kind === "stack";
export const isHub = (entry: Entry): entry is HubEntry => entry.inside?.kind === "hub";

export const isPair = (entry: Entry): entry is PairEntry => entry.inside?.kind === "pair";

/** Whether nothing may be shown at all. */
export const isStuck = (state: State): boolean => state.root.inside.entries.length === 0;

/** Whether an entry of a node is in there, shown or not. */
export const holdsNode = (from: Entry, id: Id): boolean =>
  from.node === id || entriesInside(from).some((inner) => holdsNode(inner, id));

const noEntries: readonly Entry[] = [];
/** All entries directly inside, shown or not. */
export const entriesInside = (entry: Entry): readonly Entry[] => {
  if (!entry.inside) return noEntries;
  switch (entry.inside.kind) {
    case "stack":
      return entry.inside.entries;
    case "hub":
      return Object.values(entry.inside.tabs);
    case "pair":
      return entry.inside.detail ? [entry.inside.list, entry.inside.detail] : [entry.inside.list];
  }
};

/** The entry with another inside. Written out: copying entries is most of what a step does, and this is the fastest way. */
const withInside = <T extends ContainerEntry>(entry: T, inside: T["inside"]): T => {
  const { key, node, params, carried, opens, ui, since } = entry;
  return { key, node, params, carried, opens, ui, since, inside } as unknown as T;
};

/** The stack with these entries; the same one when they are the same. */
export const withEntries = (stack: StackEntry, entries: readonly Entry[]): StackEntry =>
  entries === stack.inside.entries ? stack : withInside(stack, { kind: "stack", entries });

/** The hub with some of its inside changed. */
export const withHub = (hub: HubEntry, change: Partial<Omit<HubInside, "kind">>): HubEntry => {
  const { active, visits, tabs } = hub.inside;
  return withInside(hub, {
    kind: "hub",
    active: change.active ?? active,
    visits: change.visits ?? visits,
    tabs: change.tabs ?? tabs,
  });
};

/** The pair with some of its inside changed; the same one when nothing is. */
export const withPair = (pair: PairEntry, change: Partial<Omit<PairInside, "kind">>): PairEntry => {
  const now = pair.inside;
  const { list = now.list, detail = now.detail, side = now.side } = change;
  if (list === now.list && detail === now.detail && side === now.side) return pair;
  return withInside(pair, { kind: "pair", list, detail, side });
};

/** The container with one of the entries directly inside it replaced; the same one when that is the same. */
export const withChild = <T extends ContainerEntry>(entry: T, old: Entry, child: Entry): T => {
  if (old === child) return entry;
  const { inside } = entry;
  if (inside.kind === "stack") {
    const entries = inside.entries.slice();
    entries[entries.lastIndexOf(old)] = child;
    return withEntries(entry as StackEntry, entries) as T;
  }
  if (inside.kind === "hub") return withHub(entry as HubEntry, { tabs: { ...inside.tabs, [old.node]: child } }) as T;
  return withPair(entry as PairEntry, inside.list === old ? { list: child } : { detail: child }) as T;
};

/** The root of a path, from the root down, once the entry at depth `i` of it is replaced. */
export const rebuilt = (path: readonly Entry[], i: number, entry: Entry): StackEntry => {
  let at = entry;
  for (let up = i - 1; up >= 0; up -= 1) at = withChild(path[up] as ContainerEntry, path[up + 1]!, at);
  return at as StackEntry;
};

/** The entries from one down to the one with this key, shown or not; null if it is not in there. */
export const pathTo = (from: Entry, key: number): Entry[] | null => {
  if (from.key === key) return [from];
  for (const inner of entriesInside(from)) {
    const path = pathTo(inner, key);
    if (path) {
      path.unshift(from);
      return path;
    }
  }
  return null;
};

/** The container with every entry directly inside it mapped. */
export const mapInside = <T extends ContainerEntry>(entry: T, change: (inner: Entry) => Entry): T => {
  const { inside } = entry;
  switch (inside.kind) {
    case "stack":
      return withInside(entry, { kind: "stack", entries: inside.entries.map(change) } as never);
    case "hub": {
      const tabs: Record<Id, Entry> = {};
      for (const [id, tab] of Object.entries(inside.tabs)) tabs[id] = change(tab);
      return withInside(entry, { ...inside, tabs } as never);
    }
    case "pair":
      return withInside(entry, {
        ...inside,
        list: change(inside.list),
        detail: inside.detail && change(inside.detail),
      } as never);
  }
};
