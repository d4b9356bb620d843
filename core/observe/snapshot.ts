import { addressFor } from "../frame/pattern.js";
import type { Face, FactValue, Frame, Id, Opens, ScreenNode } from "../frame/types.js";
import type { View } from "../frame/view.js";
import type { Move, Note } from "../navigate/events.js";
import { topOf } from "../navigate/focus.js";
import { ladderOf } from "./ladder.js";
import { type Entry, entriesInside, isHub, isStack, isStuck } from "../navigate/state.js";
import { type Params } from "../frame/types.js";
import type { Step } from "../navigate/step.js";
import { surfaceOf } from "./surface.js";

/** What is on screen, as data: the same for every part of the product. */
export interface Snapshot {
  /** The top screen; null when the app was left. */
  top: Id | null;
  params: Params;
  address: string | null;
  /** Screens that can be seen, back to front. */
  shown: Id[];
  trail: Id[];
  tabs: Record<Id, Id[]>;
  bars: { hub: Id; face: Face; active: Id; more: Id[]; inert: boolean; open: boolean }[];
  headers: { by: Id; title: string; back: boolean; menu: boolean; close: boolean }[];
  /** The top screen after each Back, then `exit`, `stay` or `loop`; empty when the app was left. */
  back: string[];
  /** The top overlay; null if none lies over the rest. */
  overlay: { node: Id; opens: Exclude<Opens, "push"> } | null;
  ui: { scroll: number; drafts: Readonly<Record<string, string>>; received: Params | null };
  carried: Params;
  facts: Readonly<Record<Id, FactValue>>;
  pending: { to: Id; params: Params } | null;
  outside: boolean;
  moves: Move[];
  notes: Note[];
}

/**
 * Every screen entry of the stacks from an entry down along what shows in it, lowest first; a pair gives its list, then
 * its detail.
 */
export const trailOf = (from: Entry): Id[] => {
  const trail: Id[] = [];
  const walk = (entry: Entry, isOwn: boolean): void => {
    if (!entry.inside) return void (isOwn && trail.push(entry.node));
    if (isHub(entry)) return walk(entry.inside.tabs[entry.inside.active]!, false);
    if (isStack(entry)) {
      const { entries } = entry.inside;
      for (const inner of entries) if (!inner.inside || inner === entries.at(-1)) walk(inner, true);
      return;
    }
    for (const inner of entriesInside(entry)) walk(inner, true);
  };
  walk(from, true);
  return trail;
};

/** The address of a screen's entry: its pattern with its params filled in, or null. */
export const addressOf = (frame: Frame, entry: Entry): string | null => {
  const node = frame.nodes[entry.node];
  return node?.kind === "screen" ? addressFor(node as ScreenNode, entry.params) : null;
};

/** What is on screen after a step. */
export const snapshotOf = (frame: Frame, view: View, { state, moves, notes }: Step): Snapshot => {
  const { facts, pending, outside } = state;
  const common = {
    facts,
    pending: pending && { to: pending.to, params: pending.params },
    outside,
    moves,
    notes,
  };
  const ladder = ladderOf(frame, view, state);
  if (outside || isStuck(state))
    return {
      top: null,
      params: {},
      address: null,
      shown: [],
      trail: [],
      tabs: {},
      bars: [],
      headers: [],
      back: outside ? [] : [ladder.end],
      ui: { scroll: 0, drafts: {}, received: null },
      overlay: null,
      carried: {},
      ...common,
    };
  const { focus, top, overlay, bars, headers, screens } = surfaceOf(frame, state, view);
  const hub = focus.findLast(isHub);
  const lens = { frame, view };
  if (!top) throw new Error("a state with entries shows no screen");
  return {
    top: top.node,
    params: top.params,
    address: addressOf(frame, top),
    shown: screens.map((screen) => screen.entry.node),
    trail: trailOf(hub ? hub.inside.tabs[hub.inside.active]! : state.root),
    tabs: Object.fromEntries(Object.entries(hub?.inside.tabs ?? {}).map(([id, tab]) => [id, trailOf(tab)])),
    bars: bars.map(({ hub: by, face, active, more, inert, open }) => ({ hub: by, face, active, more, inert, open })),
    headers,
    back: [...ladder.steps.map((after) => topOf(lens, after.root).node), ladder.end],
    overlay,
    ui: { scroll: top.ui.scroll, drafts: top.ui.drafts, received: top.ui.received },
    carried: top.carried,
    ...common,
  };
};
