import type { Facts, How, Id, Opens, Params } from "../frame/parts.js";
import type { View } from "../frame/view.js";
import type { NavigationEvent } from "./event.js";

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

/** What a screen holds where nobody has been. */
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
  /** The motion of its way in, there and back, or null: then as its node, its container and the frame have it. */
  motion: Id | null;
  ui: Ui;
  /** The clock (ms) when it last became the top screen; null once its `after` has fired. */
  since: number | null;
}

/** A screen that was opened. */
export interface ScreenEntry extends EntryCommon {
  kind: "screen";
}
/** A stack with what lies in it. */
export interface StackEntry extends EntryCommon {
  kind: "stack";
  /** Lowest first; empty only in the root, when nothing may be shown. */
  entries: readonly Entry[];
}
/** A hub with those of its tabs that were shown. */
export interface HubEntry extends EntryCommon {
  kind: "hub";
  active: Id;
  /** Tabs left before, each once, the last one last; never the active one. */
  visits: readonly Id[];
  /** Made when first shown. */
  tabs: Readonly<Record<Id, Entry>>;
}
/** The two panes of a pair. */
export type Pane = "list" | "detail";
/** A pair with what its panes hold. */
export interface PairEntry extends EntryCommon {
  kind: "pair";
  list: Entry;
  /** Null as long as no row was opened. */
  detail: Entry | null;
  /** The pane last opened into; `list` when there is no detail. */
  side: Pane;
}
/** An entry that holds others. */
export type ContainerEntry = StackEntry | HubEntry | PairEntry;
/** One thing in the state: a tree of them mirrors the frame. */
export type Entry = ScreenEntry | ContainerEntry;

/** What waits to be opened until its needs are met. */
export interface Pending {
  to: Id;
  params: Params;
  with: Params;
  as: Opens | null;
  motion: Id | null;
  how: How;
  /** The container that it was asked for in; null where that is of no matter. */
  in: Id | null;
  /** A link asked for it, and lays its way as a cold one does. */
  cold: boolean;
  /** The key of the entry that was opened instead. */
  standIn: number;
}

/** A screen that asks before it is left, and what would leave it. */
export interface Asking {
  /** The key of its entry. */
  key: number;
  /** The event that is done once the person says so, as in the view it was asked in. */
  event: NavigationEvent;
  view: View;
  /** The key of the screen that was on top when it was asked. */
  top: number;
}

/** Where the person is in the app. It knows nothing of sizes: the same in every view. A value, never changed in place. */
export interface State {
  root: StackEntry;
  facts: Facts;
  /** The hub whose drawer is open. */
  drawer: Id | null;
  pending: Pending | null;
  asking: Asking | null;
  /** ms since the launch. */
  clock: number;
  /** The app was left by Back; its entries are kept. */
  outside: boolean;
  /** The key of the next entry. */
  nextKey: number;
}

/** Whether nothing may be shown at all. */
export const isStuck = (state: State): boolean => state.root.entries.length === 0;
