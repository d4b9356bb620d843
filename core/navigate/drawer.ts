import { goBack } from "./back.js";
import { note, type Run } from "./run.js";
import { nameOf } from "../frame/names.js";
import type { State } from "./state.js";
import { surfaceOf } from "../observe/surface.js";

const closed = (state: State): State => ({ ...state, drawer: null });

/** The hub whose drawer is open in this view; a drawer that the view shows as another face is not. */
export const openDrawer = (run: Run, state: State): State["drawer"] =>
  state.drawer === null ? null : surfaceOf(run.frame, state, run.view).drawer;

/** Opens or closes the drawer of the innermost hub that shows as one; without `to` it becomes the other. */
export const setDrawer = (run: Run, state: State, to?: boolean): State => {
  const { bars, focus } = surfaceOf(run.frame, state, run.view);
  const drawers = bars.filter((bar) => bar.face === "drawer" && focus.some((entry) => entry.key === bar.key));
  const open = drawers.find((bar) => bar.open);
  const hub = open ?? drawers.findLast((bar) => !bar.inert);
  if (!hub) {
    const text = drawers.length
      ? `The drawer of ${nameOf(run.frame, drawers.at(-1)!.hub)} lies under an overlay.`
      : "No hub around this screen shows as a drawer here.";
    note(run, "ignored", drawers.at(-1)?.hub ?? null, text);
    return state;
  }
  const wanted = to ?? !open;
  if (wanted === (open !== undefined)) {
    note(
      run,
      "ignored",
      hub.hub,
      `The drawer of ${nameOf(run.frame, hub.hub)} is ${wanted ? "open" : "closed"} already.`,
    );
    return state;
  }
  return wanted ? { ...state, drawer: hub.hub } : closed(state);
};

/** Back as the system has it: an open drawer closes, else a container of the focus path answers. */
export const backOrDrawer = (run: Run, state: State): State =>
  openDrawer(run, state) === null ? goBack(run, state) : closed(state);
