import { fillPattern, patternOf } from "../address/pattern.js";
import type { Face, FactValue, Frame, Id, ScreenNode } from "../frame/types.js";
import type { View } from "../frame/view.js";
import type { Move, Note } from "./events.js";
import { ladderOf } from "./ladder.js";
import { type Entry, focusPath, isHub, isStack, type Params, topOf } from "./state.js";
import type { Step } from "./step.js";
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
  overlay: null;
  ui: { scroll: number; drafts: Readonly<Record<string, string>>; received: Params | null };
  carried: Params;
  facts: Readonly<Record<Id, FactValue>>;
  pending: { to: Id; params: Params } | null;
  outside: boolean;
  moves: Move[];
  notes: Note[];
}

/** Every screen entry of the stacks on the focus path from an entry down, lowest first. */
export const trailOf = (from: Entry): Id[] =>
  focusPath(from).flatMap((entry) => {
    if (isStack(entry)) return entry.inside.entries.filter((inner) => !inner.inside).map((inner) => inner.node);
    return entry === from && !entry.inside ? [entry.node] : [];
  });

/** The address of a screen's entry: its pattern with its params filled in, or null. */
export const addressOf = (frame: Frame, entry: Entry): string | null => {
  const node = frame.nodes[entry.node];
  const pattern = node?.kind === "screen" ? patternOf(node as ScreenNode) : null;
  return pattern && fillPattern(pattern, entry.params);
};

/** What is on screen after a step. */
export const snapshotOf = (frame: Frame, view: View, { state, moves, notes }: Step): Snapshot => {
  const { facts, pending, outside } = state;
  const common = {
    overlay: null,
    facts,
    pending: pending && { to: pending.to, params: pending.params },
    outside,
    moves,
    notes,
  };
  if (outside)
    return {
      top: null,
      params: {},
      address: null,
      shown: [],
      trail: [],
      tabs: {},
      bars: [],
      headers: [],
      back: [],
      ui: { scroll: 0, drafts: {}, received: null },
      carried: {},
      ...common,
    };
  const { layers, top } = surfaceOf(frame, state, view);
  const hub = focusPath(state.root).findLast(isHub);
  const ladder = ladderOf(frame, view, state);
  return {
    top: top.node,
    params: top.params,
    address: addressOf(frame, top),
    shown: [top.node],
    trail: trailOf(hub ? hub.inside.tabs[hub.inside.active]! : state.root),
    tabs: Object.fromEntries(Object.entries(hub?.inside.tabs ?? {}).map(([id, tab]) => [id, trailOf(tab)])),
    bars: layers.flatMap(({ bar }) =>
      bar ? [{ hub: bar.hub, face: bar.face, active: bar.active, more: bar.more, inert: false, open: false }] : [],
    ),
    headers: layers.flatMap(({ strip, header }) =>
      [strip, header].flatMap((seen) => (seen ? [{ ...seen, menu: false, close: false }] : [])),
    ),
    back: [...ladder.steps.map((after) => topOf(after.root).node), ladder.end],
    ui: { scroll: top.ui.scroll, drafts: top.ui.drafts, received: top.ui.received },
    carried: top.carried,
    ...common,
  };
};
