import { lose, type Run } from "./run.js";
import {
  type ContainerEntry,
  type Entry,
  focusPath,
  isHub,
  isStack,
  type StackEntry,
  type State,
  withEntries,
  withShown,
} from "./state.js";
import { hubBack } from "./tabs.js";

/** The tree with the entry at depth `i` of the path replaced. */
const rebuilt = (path: readonly Entry[], i: number, entry: Entry): StackEntry => {
  let at = entry;
  for (let up = i - 1; up >= 0; up -= 1) at = withShown(path[up] as ContainerEntry, at);
  return at as StackEntry;
};

const popped = (run: Run, stack: StackEntry): StackEntry => {
  lose(run, stack.inside.entries.at(-1)!);
  return withEntries(stack, stack.inside.entries.slice(0, -1));
};

/** Back: the deepest container that has an answer gives it; past the root the app is left. */
export const goBack = (run: Run, state: State): State => {
  const path = focusPath(state.root);
  for (let i = path.length - 2; i >= 0; i -= 1) {
    const entry = path[i]!;
    if (isStack(entry) && entry.inside.entries.length > 1)
      return { ...state, root: rebuilt(path, i, popped(run, entry)) };
    if (isHub(entry)) {
      const next = hubBack(run, entry);
      if (next) return { ...state, root: rebuilt(path, i, next) };
    }
  }
  return { ...state, outside: true };
};

/** The depth, on the path, of the innermost stack that has something to take off; -1 if none has. */
const stackWithMore = (path: readonly Entry[]): number =>
  path.findLastIndex((entry) => isStack(entry) && entry.inside.entries.length > 1);

export const canGoUp = (state: State): boolean => stackWithMore(focusPath(state.root)) >= 0;

/** Header Back: takes the top off the innermost stack that has more than one entry, and answers that stack; null if none has. */
export const goUp = (run: Run, state: State): { state: State; stack: StackEntry } | null => {
  const path = focusPath(state.root);
  const i = stackWithMore(path);
  if (i < 0) return null;
  const stack = popped(run, path[i] as StackEntry);
  return { state: { ...state, root: rebuilt(path, i, stack) }, stack };
};

/** The innermost stack on the focus path with its first entry alone. */
export const goToRoot = (run: Run, state: State): State => {
  const path = focusPath(state.root);
  const i = path.findLastIndex(isStack);
  const stack = path[i] as StackEntry;
  const [first, ...above] = stack.inside.entries;
  if (above.length === 0) return state;
  for (const entry of above) lose(run, entry);
  return { ...state, root: rebuilt(path, i, withEntries(stack, [first!])) };
};
