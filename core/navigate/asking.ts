import { lensOf } from "../frame/look.js";
import { withHolders } from "../frame/holders.js";
import { hubAt } from "../frame/nodes.js";
import type { Id, Leave } from "../frame/parts.js";
import type { FixedFrame } from "../frame/types.js";
import { entriesInside, isUnmade, pathTo } from "./entries.js";
import type { NavigationEvent } from "./event.js";
import { topOf } from "./focus.js";
import type { Run } from "./run.js";
import type { Asking, Entry, ScreenEntry, State } from "./state.js";

// A screen with `leave` asks before it is left: the event is run to its end, and what came of that says whether anyone asks.

/** How each screen that asks before it is left does so, and what holds such screens. */
interface Leaves {
  by: ReadonlyMap<Id, Leave>;
  within: ReadonlySet<Id>;
}
const leaves = new WeakMap<FixedFrame["nodes"], Leaves>();

const leavesIn = (frame: FixedFrame): Leaves => {
  let found = leaves.get(frame.nodes);
  if (!found) {
    const by = new Map<Id, Leave>();
    for (const [id, node] of Object.entries(frame.nodes))
      if (node.kind === "screen" && node.leave) by.set(id, node.leave);
    leaves.set(frame.nodes, (found = { by, within: withHolders(frame, by.keys()) }));
  }
  return found;
};

/** How a screen asks before it is left; undefined where it does not. */
export const leaveOf = (frame: FixedFrame, id: Id): Leave | undefined => leavesIn(frame).by.get(id);

/** A screen that may ask, and what became of its entry; undefined where it has left. */
interface MayAsk {
  entry: ScreenEntry;
  now: Entry | undefined;
}

/** The screens that may ask, depth first. What an event left as it was is passed over: nothing of it is gone. */
const mayAsk = (frame: FixedFrame, entry: Entry, now: Entry | undefined, found: MayAsk[]): void => {
  if (entry === now || !leavesIn(frame).within.has(entry.node)) return;
  if (entry.kind === "screen") {
    found.push({ entry, now });
    return;
  }
  if (entry.kind === "hub") {
    // as its tabs stand side by side, whichever of them was made first
    const after = now?.kind === "hub" ? now.tabs : {};
    for (const id of hubAt(frame, entry.node).children) {
      const tab = entry.tabs[id];
      if (tab && tab !== after[id] && !isUnmade(tab)) mayAsk(frame, tab, after[id], found);
    }
    return;
  }
  const after = now ? entriesInside(now) : [];
  for (const inner of entriesInside(entry))
    mayAsk(
      frame,
      inner,
      after.find(({ key }) => key === inner.key),
      found,
    );
};

/** Whether a screen names what was tapped as free: an action of its own, or of another screen. */
const isFree = ({ free = [] }: Leave, screen: Id, event: NavigationEvent, top: Id): boolean => {
  if (event.do !== "tap") return false;
  const on = event.in ?? top;
  return free.some((each) => {
    const { in: place, action } = typeof each === "string" ? { in: screen, action: each } : each;
    return on === place && event.action === action;
  });
};

/** Whether a draft of an entry is gone in what became of it, and was not given away. */
const losesDraft = ({ given }: Run, { key, ui }: ScreenEntry, after: Entry | undefined): boolean =>
  Object.entries(ui.drafts).some(
    ([field, text]) => text !== "" && !given.has(`${key}/${field}`) && !after?.ui.drafts[field],
  );

/** The screen that asks about what an event made of a state: of several the top one, else the last, depth first; null where none does. */
export const askedBy = (run: Run, before: State, after: State, event: NavigationEvent): ScreenEntry | null => {
  const { by: leaving } = leavesIn(run.frame);
  if (leaving.size === 0 || after.root === before.root || before.root.entries.length === 0) return null;
  const found: MayAsk[] = [];
  mayAsk(run.frame, before.root, after.root, found);
  if (found.length === 0) return null;
  const top = topOf(run, before.root);
  const asking = found.flatMap(({ entry, now }) => {
    const leave = leaving.get(entry.node);
    if (!leave || isFree(leave, entry.node, event, top.node)) return [];
    return (leave.when === "always" ? !now : losesDraft(run, entry, now)) ? [entry] : [];
  });
  return asking.find(({ key }) => key === top.key) ?? asking.at(-1) ?? null;
};

/** The state as it was before an event that is asked about, with the question; an app that was left is back with it. */
export const withQuestion = (run: Run, state: State, { key }: Entry, event: NavigationEvent): State => ({
  ...state,
  outside: false,
  asking: { key, event, view: run.view, top: topOf(run, state.root).key },
});

/** The state without its question. */
export const unasked = (state: State): State => (state.asking ? { ...state, asking: null } : state);

/** The state with a question put to an earlier one, while that still asks: its screen is there, and what was on top still is, whatever the view. */
export const stillAsking = (frame: FixedFrame, asking: Asking, state: State): State => {
  const isThere = !state.outside && pathTo(state.root, asking.key) !== null;
  if (!isThere || topOf(lensOf(frame, asking.view), state.root).key !== asking.top) return unasked(state);
  return { ...state, asking };
};

/** The entry of the screen that asks; null where none does. */
export const askerOf = ({ asking, root }: State): ScreenEntry | null => {
  const entry = asking && pathTo(root, asking.key)?.at(-1);
  return entry?.kind === "screen" ? entry : null;
};
