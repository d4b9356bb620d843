import { isLifted, type Lens } from "../frame/look.js";
import type { Facts, Opens } from "../frame/parts.js";
import { replacedOn, withAt, withEntries, withoutDetail, withPane } from "./entries.js";
import { detailAlone, focusPath, isNarrowAt, isSplit, linkAt, opensIn, overlayOn } from "./focus.js";
import { lose, type Run } from "./run.js";
import type { Entry, PairEntry, StackEntry, State } from "./state.js";
import { hubBack } from "./tabs.js";

/** The stack without what lies from `i` up. */
const cutFrom = (run: Run, stack: StackEntry, i: number): StackEntry => {
  for (const gone of stack.entries.slice(i).reverse()) lose(run, gone);
  return withEntries(stack, stack.entries.slice(0, i));
};

const popped = (run: Run, stack: StackEntry): StackEntry => cutFrom(run, stack, stack.entries.length - 1);

const detailLost = (run: Run, pair: PairEntry): PairEntry => {
  if (pair.detail) lose(run, pair.detail);
  return withoutDetail(pair);
};

const hasMore = (entry: Entry | null | undefined): entry is StackEntry =>
  entry?.kind === "stack" && entry.entries.length > 1;

/** What Back makes of a pair: what is alone gives way to the list; of a split one the pane that is not followed answers. */
const answeredByPair = (run: Run, pair: PairEntry, path: readonly Entry[], i: number): Entry | null => {
  const { list, detail } = pair;
  if (detailAlone(run, path, i)) return detailLost(run, pair);
  if (!isSplit(run, pair, isNarrowAt(run, path, i))) return null;
  const pane = path[i + 1] === list ? "detail" : "list";
  const other = pane === "list" ? list : detail;
  const left = other && poppedWithin(run, other, isNarrowAt(run, path, i));
  return left ? withPane(pair, pane, left) : null;
};

/** An entry with the top of its deepest stack that holds more than one taken off, along what shows in it; null where nothing lies above its first entry. */
const poppedWithin = (run: Run, entry: Entry, narrow: boolean): Entry | null => {
  const path = focusPath(run, entry, narrow);
  for (let i = path.length - 1; i >= 0; i -= 1) {
    const at = path[i];
    if (!at) continue;
    const isAlone =
      at.kind === "pair" && path[i + 1] === at.detail && !isSplit(run, at, narrow || isNarrowAt(run, path, i));
    const left = hasMore(at) ? popped(run, at) : isAlone ? detailLost(run, at) : null;
    if (left) return replacedOn(path, i, left);
  }
  return null;
};

/** What Back makes of one container of the focus path; null when it has no answer. */
const answered = (run: Run, facts: Facts, path: readonly Entry[], i: number): Entry | null => {
  const entry = path[i];
  if (hasMore(entry)) return popped(run, entry);
  if (entry?.kind === "hub") return hubBack(run, entry, facts);
  return entry?.kind === "pair" ? answeredByPair(run, entry, path, i) : null;
};

/** Back: the deepest container that has an answer gives it; past the root the app is left. */
export const goBack = (run: Run, state: State, path: readonly Entry[] = focusPath(run, state.root)): State => {
  for (let i = path.length - 2; i >= 0; i -= 1) {
    const next = answered(run, state.facts, path, i);
    if (next) return withAt(state, path, i, next);
  }
  return { ...state, outside: true };
};

/** The depth, on a path, of the innermost container that Up takes something off; -1 if there is none. */
const upAt = (lens: Lens, path: readonly Entry[]): number =>
  path.findLastIndex((entry, i) => hasMore(entry) || detailAlone(lens, path, i) !== null);

/** How what Up would take off is shown; null if there is nothing. */
export const upTakes = (
  lens: Lens,
  state: State,
  path: readonly Entry[] = focusPath(lens, state.root),
): Opens | null => {
  const link = linkAt(path, upAt(lens, path));
  return link ? opensIn(lens, link.container, link.child) : null;
};

/** Whether Up takes anything off. */
export const canGoUp = (lens: Lens, state: State): boolean => upTakes(lens, state) !== null;

/** A state that something was taken off, and the container it was taken off. */
export interface TakenOff {
  state: State;
  off: Entry;
}

const taken = (state: State, path: readonly Entry[], i: number, off: Entry): TakenOff => ({
  state: withAt(state, path, i, off),
  off,
});

/**
 * Header Back: takes the top off the innermost stack of the path that has more than one entry, or the detail off a pair
 * that shows it alone; null if there is nothing to take.
 */
export const goUp = (run: Run, state: State, path: readonly Entry[] = focusPath(run, state.root)): TakenOff | null => {
  const i = upAt(run, path);
  const entry = path[i];
  if (entry?.kind === "pair") return taken(state, path, i, detailLost(run, entry));
  return entry?.kind === "stack" ? taken(state, path, i, popped(run, entry)) : null;
};

/** Takes off the innermost overlay of the path, with all that lies on it; null if there is none. */
export const closeOverlay = (run: Run, state: State, path: readonly Entry[]): TakenOff | null => {
  const i = overlayOn(run, path);
  const link = linkAt(path, i);
  if (link?.container.kind !== "stack") return null;
  return taken(state, path, i, cutFrom(run, link.container, link.container.entries.indexOf(link.child)));
};

/** The innermost overlay of a path, shown or beneath others; null if there is none. */
export const overlayOf = (lens: Lens, path: readonly Entry[]): Entry | null =>
  linkAt(path, overlayOn(lens, path))?.child ?? null;

/** Whether the top overlay, if there is one, can be dismissed. */
export const canDismiss = (lens: Lens, path: readonly Entry[]): boolean => {
  const link = linkAt(path, overlayOn(lens, path));
  return link !== undefined && isLifted(opensIn(lens, link.container, link.child));
};

/** The innermost stack of the path with its first entry alone; the same state if it is so already. */
export const goToRoot = (run: Run, state: State, path: readonly Entry[]): State => {
  const i = path.findLastIndex(({ kind }) => kind === "stack");
  const stack = path[i];
  return hasMore(stack) ? withAt(state, path, i, cutFrom(run, stack, 1)) : state;
};
