import {
  type ContainerEntry,
  type Entry,
  type ScreenEntry,
  shownInside,
  type StackEntry,
  type State,
  withShown,
} from "./state.js";

const changed = (entry: Entry, key: number, change: (entry: ScreenEntry) => ScreenEntry): Entry => {
  if (entry.key === key && !entry.inside) return change(entry);
  return entry.inside ? withShown(entry as ContainerEntry, changed(shownInside(entry), key, change)) : entry;
};

/** The state with the top screen changed, if it has this key. */
export const changedTop = (state: State, key: number, change: (entry: ScreenEntry) => ScreenEntry): State => {
  const root = changed(state.root, key, change) as StackEntry;
  return root === state.root ? state : { ...state, root };
};
