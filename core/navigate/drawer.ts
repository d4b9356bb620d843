import { goBack } from "./back.js";
import { ignore, type Run } from "./run.js";
import { drawerOf, drawersOf, sightOf } from "./sight.js";
import type { Entry, State } from "./state.js";

const closed = (state: State): State => ({ ...state, drawer: null });

/** The hub whose drawer is open in this view; a drawer that the view shows as another face is not. */
export const openDrawer = (run: Run, state: State): State["drawer"] =>
  state.drawer === null ? null : sightOf(run, state).drawer;

/** Opens or closes the drawer of the innermost hub that shows as one; without `to` it becomes the other. */
export const setDrawer = (run: Run, state: State, to?: boolean): State => {
  const sight = sightOf(run, state);
  const bar = drawerOf(sight);
  if (!bar) {
    const covered = drawersOf(sight).at(-1)?.hub;
    return covered === undefined
      ? ignore(run, state, null, { why: "no-drawer" })
      : ignore(run, state, covered, { why: "drawer-covered", hub: covered });
  }
  const { hub, open } = bar;
  const wanted = to ?? !open;
  if (wanted === open) return ignore(run, state, hub, { why: "drawer-already", hub, open: wanted });
  return wanted ? { ...state, drawer: hub } : closed(state);
};

/** Back as the system has it: an open drawer closes, else a container of the focus path answers. */
export const backOrDrawer = (run: Run, state: State, path?: readonly Entry[]): State =>
  openDrawer(run, state) === null ? goBack(run, state, path) : closed(state);
