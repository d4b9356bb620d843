import type { Id } from "../frame/parts.js";
import { changedAt, pathTo } from "./entries.js";
import { focusPath } from "./focus.js";
import type { NoteArgs } from "./notes.js";
import { ignore, named, type Run } from "./run.js";
import { sightOf } from "./sight.js";
import type { Entry, ScreenEntry, State, Ui } from "./state.js";

/** The path to a screen that an event is about. */
export interface TouchedScreen {
  path: readonly Entry[];
  screen: ScreenEntry;
}

const at = (path: readonly Entry[]): TouchedScreen | null => {
  const screen = path[path.length - 1];
  return screen?.kind === "screen" ? { path, screen } : null;
};

/** The screen an event is about, if it can be touched, else why not: the top screen, or another one in sight by its name. */
const touched = (run: Run, state: State, node: Id | undefined): TouchedScreen | NoteArgs["ignored"] => {
  const focus = at(focusPath(run, state.root));
  if (focus && state.drawer === null && (node === undefined || node === focus.screen.node)) return focus;
  const { screens, drawer } = sightOf(run, state);
  const namedSo = screens.filter(({ entry }) => entry.node === (node ?? focus?.screen.node));
  const free = namedSo.findLast(({ inert }) => !inert);
  if (free) return { path: pathTo(state.root, free.entry.key) ?? [], screen: free.entry };
  const covered = namedSo[0];
  if (!covered) return { why: "not-seen", node };
  return drawer === null
    ? { why: "under-overlay", screen: named(covered.entry) }
    : { why: "beside-drawer", hub: drawer };
};

/** Carries out what an event does on the screen it is about, if that can be touched. */
export const onTouched = (
  run: Run,
  state: State,
  node: Id | undefined,
  then: (touched: TouchedScreen) => State,
): State => {
  const found = touched(run, state, node);
  return "why" in found ? ignore(run, state, node ?? null, found) : then(found);
};

/** The state with what the person left on a screen changed. */
export const withUi = (state: State, path: readonly Entry[], change: Partial<Ui>): State =>
  changedAt(state, path, (entry) => ({ ...entry, ui: { ...entry.ui, ...change } }));
