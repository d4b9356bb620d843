import { type Entry, rebuilt, type ScreenEntry, type State } from "./state.js";

/** The state with the screen at the end of a path from the root changed. */
export const changedAt = (state: State, path: readonly Entry[], change: (entry: ScreenEntry) => ScreenEntry): State => {
  const last = path.at(-1)!;
  if (last.inside) return state;
  const next = change(last);
  return next === last ? state : { ...state, root: rebuilt(path, path.length - 1, next) };
};
