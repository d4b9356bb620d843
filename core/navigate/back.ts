import { isLifted } from "../frame/opens.js";
import type { Opens } from "../frame/types.js";
import { focusPath, isNarrowAt, isSplit, type Lens, opensIn, overlayOn, showsDetailAlone } from "./focus.js";
import { lose, type Run } from "./run.js";
import { type Entry, isHub, isPair, isStack, type PairEntry, rebuilt, type StackEntry, type State, withEntries, withPair } from "./state.js";
import { hubBack } from "./tabs.js";

/** The stack without what lies from `i` up. */
const cutFrom = (run: Run, stack: StackEntry, i: number): StackEntry => {
  const { entries } = stack.inside;
  for (let at = entries.length - 1; at >= i; at -= 1) lose(run, entries[at]!);
  return withEntries(stack, entries.slice(0, i));
};

const popped = (run: Run, stack: StackEntry): StackEntry => cutFrom(run, stack, stack.inside.entries.length - 1);

const withoutDetail = (run: Run, pair: PairEntry): PairEntry => {
  lose(run, pair.inside.detail!);
  return withPair(pair, { detail: null, side: "list" });
};

const hasMore = (entry: Entry | null): entry is StackEntry =>
  entry !== null && isStack(entry) && entry.inside.entries.length > 1;

/** What Back makes of one container of the focus path; null when it has no answer. */
const answered = (run: Run, facts: State["facts"], path: readonly Entry[], i: number): Entry | null => {
  const entry = path[i]!;
  if (hasMore(entry)) return popped(run, entry);
  if (isHub(entry)) return hubBack(run, entry, facts);
  if (!isPair(entry)) return null;
  const { list, detail } = entry.inside;
  if (showsDetailAlone(run, path, i)) return withoutDetail(run, entry);
  if (!isSplit(run, entry, isNarrowAt(run, path, i))) return null;
  const other = path[i + 1] === list ? detail : list;
  if (!hasMore(other)) return null;
  return withPair(entry, other === list ? { list: popped(run, other) } : { detail: popped(run, other) });
};

/** Back: the deepest container that has an answer gives it; past the root the app is left. */
export const goBack = (run: Run, state: State): State => {
  const path = focusPath(run, state.root);
  for (let i = path.length - 2; i >= 0; i -= 1) {
    const next = answered(run, state.facts, path, i);
    if (next) return { ...state, root: rebuilt(path, i, next) };
  }
  return { ...state, outside: true };
};

/** The depth, on a path, of the innermost container that Up takes something off; -1 if there is none. */
const upAt = (lens: Lens, path: readonly Entry[]): number =>
  path.findLastIndex((entry, i) => hasMore(entry) || showsDetailAlone(lens, path, i));

/** How what Up would take off is shown; null if there is nothing. */
export const upTakes = (lens: Lens, state: State): Opens | null => {
  const path = focusPath(lens, state.root);
  const i = upAt(lens, path);
  return i < 0 ? null : opensIn(lens, path[i]!, path[i + 1]!);
};

export const canGoUp = (lens: Lens, state: State): boolean => upTakes(lens, state) !== null;

/** A state that something was taken off, and the container it was taken off. */
export interface TakenOff {
  state: State;
  off: Entry;
}

const taken = (state: State, path: readonly Entry[], i: number, off: Entry): TakenOff => ({
  state: { ...state, root: rebuilt(path, i, off) },
  off,
});

/**
 * Header Back: takes the top off the innermost stack of the path that has more than one entry, or the detail off a pair
 * that shows it alone; null if there is nothing to take.
 */
export const goUp = (run: Run, state: State, path: readonly Entry[] = focusPath(run, state.root)): TakenOff | null => {
  const i = upAt(run, path);
  if (i < 0) return null;
  const entry = path[i]!;
  return taken(state, path, i, isPair(entry) ? withoutDetail(run, entry) : popped(run, entry as StackEntry));
};

/** Takes off the innermost overlay of the path, with all that lies on it; null if there is none. */
export const closeOverlay = (run: Run, state: State, path: readonly Entry[]): TakenOff | null => {
  const i = overlayOn(run, path);
  if (i < 0) return null;
  const stack = path[i] as StackEntry;
  return taken(state, path, i, cutFrom(run, stack, stack.inside.entries.indexOf(path[i + 1]!)));
};

/** Whether the top overlay, if there is one, can be dismissed. */
export const canDismiss = (lens: Lens, path: readonly Entry[]): boolean => {
  const i = overlayOn(lens, path);
  return i >= 0 && isLifted(opensIn(lens, path[i]!, path[i + 1]!));
};

/** The innermost stack of the path with its first entry alone. */
export const goToRoot = (run: Run, state: State, path: readonly Entry[]): State => {
  const i = path.findLastIndex(isStack);
  const stack = path[i] as StackEntry;
  return stack.inside.entries.length === 1 ? state : { ...state, root: rebuilt(path, i, cutFrom(run, stack, 1)) };
};
