import type { FactValue, How, Id, Opens } from "../frame/types.js";

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

export type Params = Readonly<Record<string, string>>;
export const noParams: Params = {};

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
  /** Lowest first; never empty. */
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
export interface StackEntry extends EntryCommon {
  inside: StackInside;
}
export interface HubEntry extends EntryCommon {
  inside: HubInside;
}
export type ContainerEntry = StackEntry | HubEntry;
/** One thing in the state: a tree of them mirrors the frame. */
export type Entry = ScreenEntry | ContainerEntry;

/** What waits to be opened until its needs are met. */
export interface Pending {
  to: Id;
  params: Params;
  with: Params;
  as: Opens | null;
  how: How;
  cold: boolean;
  standIn: Id;
}

/** Where the person is in the app. It knows nothing of sizes: the same in every view. A value, never changed in place. */
export interface State {
  root: StackEntry;
  facts: Readonly<Record<Id, FactValue>>;
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

/** The entry that shows inside a container. */
export const shownInside = (entry: ContainerEntry): Entry =>
  entry.inside.kind === "stack" ? entry.inside.entries.at(-1)! : entry.inside.tabs[entry.inside.active]!;

/** The focus path: from an entry down to its top screen. */
export const focusPath = (from: Entry): Entry[] => {
  const path: Entry[] = [from];
  for (let at = from; at.inside;) {
    at = shownInside(at);
    path.push(at);
  }
  return path;
};

export const topOf = (from: Entry): Entry => {
  let at = from;
  while (at.inside) at = shownInside(at);
  return at;
};

/** All entries directly inside, shown or not. */
export const entriesInside = (entry: Entry): readonly Entry[] =>
  !entry.inside ? [] : entry.inside.kind === "stack" ? entry.inside.entries : Object.values(entry.inside.tabs);

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

/** The container with the entry that shows in it replaced; the same one when that is the same. */
export const withShown = <T extends ContainerEntry>(entry: T, child: Entry): T => {
  if (shownInside(entry) === child) return entry;
  if (isStack(entry)) return withEntries(entry, [...entry.inside.entries.slice(0, -1), child]) as T;
  const hub = entry as HubEntry;
  return withHub(hub, { tabs: { ...hub.inside.tabs, [hub.inside.active]: child } }) as T;
};
