import { lensOf } from "../frame/look.js";
import type { SeenFace, Facts, Id, Params } from "../frame/parts.js";
import { addressFor } from "../frame/pattern.js";
import type { FixedFrame } from "../frame/types.js";
import type { View } from "../frame/view.js";
import { entriesInside } from "../navigate/entries.js";
import { askerOf, leaveOf } from "../navigate/asking.js";
import type { Move, NavigationEvent } from "../navigate/event.js";
import type { Note } from "../navigate/notes.js";
import type { OverlayOpens } from "../navigate/sight.js";
import { type Entry, isStuck, type State, type Ui } from "../navigate/state.js";
import type { Step } from "../navigate/step.js";
import { type Ladder, ladderOf } from "./ladder.js";
import { type SeenHeader, surfaceIn } from "./surface.js";

/** What is on screen after a step, as data for whoever asks; printed, it is a snapshot. */
export interface Seen {
  /** The top screen; null when the app was left. */
  top: Id | null;
  params: Params;
  address: string | null;
  /** Screens that can be seen, back to front. */
  shown: Id[];
  trail: Id[];
  tabs: Record<Id, Id[]>;
  bars: { hub: Id; face: SeenFace; active: Id; more: Id[]; inert: boolean; open: boolean }[];
  headers: SeenHeader[];
  /** What the next Backs do; null when the app was left. */
  ladder: Ladder | null;
  /** The top overlay; null if none lies over the rest. */
  overlay: { node: Id; opens: OverlayOpens } | null;
  ui: Pick<Ui, "scroll" | "drafts" | "received">;
  carried: Params;
  facts: Facts;
  pending: { to: Id; params: Params } | null;
  /** The screen that asks before it is left, what it asks, and the event it asks about. */
  asking: { node: Id; ask: string; event: NavigationEvent } | null;
  outside: boolean;
  moves: readonly Move[];
  notes: readonly Note[];
}

/**
 * Every screen entry of the stacks from an entry down along what shows in it, lowest first; a pair gives its list, then
 * its detail.
 */
const trailOf = (from: Entry): Id[] => {
  const trail: Id[] = [];
  const walk = (entry: Entry, isOwn: boolean): void => {
    switch (entry.kind) {
      case "screen":
        if (isOwn) trail.push(entry.node);
        return;
      case "hub": {
        const active = entry.tabs[entry.active];
        if (active) walk(active, false);
        return;
      }
      case "stack":
        for (const inner of entry.entries)
          if (inner.kind === "screen" || inner === entry.entries.at(-1)) walk(inner, true);
        return;
      case "pair":
        for (const inner of entriesInside(entry)) walk(inner, true);
    }
  };
  walk(from, true);
  return trail;
};

/** What shows in a tab that is a hub itself, all the way down; any other is what it is. */
const shownTab = (tab: Entry): Entry => {
  const inner = tab.kind === "hub" ? tab.tabs[tab.active] : undefined;
  return inner ? shownTab(inner) : tab;
};

/** The address of a screen's entry: its pattern with its params filled in, or null. */
export const addressOf = (frame: FixedFrame, entry: Entry): string | null => {
  const node = frame.nodes[entry.node];
  return node?.kind === "screen" ? addressFor(node, entry.params) : null;
};

/** What is asked in a state. */
const askedIn = (frame: FixedFrame, state: State): Seen["asking"] => {
  const asker = askerOf(state);
  const leave = asker && leaveOf(frame, asker.node);
  return leave && state.asking ? { node: asker.node, ask: leave.ask, event: state.asking.event } : null;
};

/** What there is where nothing may be shown, or the app was left. */
const nothing = {
  top: null,
  params: {},
  address: null,
  shown: [],
  trail: [],
  tabs: {},
  bars: [],
  headers: [],
  overlay: null,
  ui: { scroll: 0, drafts: {}, received: null },
  carried: {},
} satisfies Partial<Seen>;

/** What is on screen after a step. */
export const seenAfter = (frame: FixedFrame, view: View, { state, moves, notes }: Omit<Step, "passed">): Seen => {
  const { facts, pending, outside } = state;
  const waits = pending && { to: pending.to, params: pending.params };
  const common = {
    facts,
    pending: waits,
    asking: askedIn(frame, state),
    outside,
    moves,
    notes,
    ladder: outside ? null : ladderOf(frame, view, state),
  };
  if (outside || isStuck(state)) return { ...nothing, ...common };
  const { focus, top, overlay, bars, headers, screens } = surfaceIn(lensOf(frame, view), state);
  if (!top) throw new Error("a state with entries shows no screen");
  const hub = focus.findLast((entry) => entry.kind === "hub");
  return {
    top: top.node,
    params: top.params,
    address: addressOf(frame, top),
    shown: screens.map((screen) => screen.entry.node),
    trail: trailOf(hub?.tabs[hub.active] ?? state.root),
    tabs: Object.fromEntries(Object.entries(hub?.tabs ?? {}).map(([id, tab]) => [id, trailOf(shownTab(tab))])),
    bars: bars.map(({ hub: by, face, active, more, inert, open }) => ({ hub: by, face, active, more, inert, open })),
    headers,
    overlay,
    ui: { scroll: top.ui.scroll, drafts: top.ui.drafts, received: top.ui.received },
    carried: top.carried,
    ...common,
  };
};
