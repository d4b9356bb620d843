import { lensOf } from "../frame/look.js";
import type { Frame } from "../frame/types.js";
import type { View } from "../frame/view.js";
import type { NavigationEvent } from "../navigate/event.js";
import { unasked } from "../navigate/asking.js";
import { topOf } from "../navigate/focus.js";
import { sameParams } from "../navigate/run.js";
import { entriesInside, pathTo } from "../navigate/entries.js";
import type { Entry, State } from "../navigate/state.js";
import { type Step, step, viewAfter } from "../navigate/step.js";
import { explain } from "../observe/explain.js";
import { type Happening, happenings } from "./events.js";
import { type Held, heldOf, lostOf, type Piece, pieces } from "./pieces.js";

/** What becomes of a piece: `none` where there is nothing of it; `asked` where it would be lost, and a screen asks first. */
export type Fate = "kept" | "lost" | "moved" | "asked" | "none";

/** One cell: what becomes of a piece by what happens. */
export interface SurvivalCell {
  piece: Piece;
  fate: Fate;
  /** What is lost, or would be. */
  lost: readonly Held[];
  /** Where the person is afterwards, if that is another screen. */
  at: Pick<Entry, "node" | "params"> | null;
}

/** One step of what happens. */
interface HappeningStep {
  event: NavigationEvent;
  view: View;
  before: Step;
  after: Step;
}

/** A row: what happens, each step of it, and what becomes of each piece. */
export interface SurvivalRow extends Happening {
  steps: readonly HappeningStep[];
  cells: readonly SurvivalCell[];
}

const standing = (state: State): Step => ({ state, moves: [], notes: [], passed: [] });

/** Plays what happens, with every question answered so that it goes on; says whether any was asked. */
const played = (frame: Frame, view: View, state: State, events: readonly NavigationEvent[]) => {
  const steps: HappeningStep[] = [];
  let at = standing(state);
  let seenIn = view;
  let asks = false;
  const go = (event: NavigationEvent): void => {
    const after = step(frame, seenIn, at.state, event);
    steps.push({ event, view: seenIn, before: at, after });
    seenIn = viewAfter(frame, seenIn, event);
    at = after;
  };
  for (const event of events) {
    go(event);
    if (!at.state.asking) continue;
    asks = true;
    go({ do: "answer", leave: true });
  }
  return { steps, asks, end: at.state };
};

/** Whether two trees hold the same screens in the same places, whatever is on them. */
const sameTree = (a: Entry, b: Entry): boolean => {
  if (a.node !== b.node || !sameParams(a.params, b.params)) return false;
  if (a.kind === "hub" && b.kind === "hub" && a.active !== b.active) return false;
  const [inA, inB] = [entriesInside(a), entriesInside(b)];
  return inA.length === inB.length && inA.every((each, i) => inB[i] !== undefined && sameTree(each, inB[i]));
};

/** Happenings by which a person means to go elsewhere. */
const meansToGo = new Set(["sameTab", "link", "out"]);

const placeFate = (
  frame: Frame,
  view: View,
  id: string,
  before: State,
  after: State,
): Pick<SurvivalCell, "fate" | "lost" | "at"> => {
  if (after.outside || after.root.entries.length === 0)
    return { fate: "lost", lost: heldOf(before, "place"), at: null };
  const lens = lensOf(frame, view);
  const [was, is] = [topOf(lens, before.root), topOf(lens, after.root)];
  if (sameTree(before.root, after.root)) return { fate: "kept", lost: [], at: null };
  const lost = lostOf(heldOf(before, "place"), after, "place");
  const isElsewhere = was.node !== is.node || !sameParams(was.params, is.params);
  const at = isElsewhere ? { node: is.node, params: is.params } : null;
  const isThere = pathTo(after.root, was.key) !== null;
  if (isElsewhere) return { fate: isThere || meansToGo.has(id) ? "moved" : "lost", lost, at };
  return { fate: lost.length > 0 ? "lost" : "kept", lost, at };
};

const cellOf =
  (frame: Frame, view: View, id: string, before: State, asks: boolean, after: State) =>
  (piece: Piece): SurvivalCell => {
    if (piece === "place") {
      const found = placeFate(frame, view, id, before, after);
      return { piece, ...found, fate: asks && found.fate === "lost" ? "asked" : found.fate };
    }
    const held = heldOf(before, piece);
    if (held.length === 0) return { piece, fate: "none", lost: [], at: null };
    const lost = lostOf(held, after, piece);
    return { piece, fate: lost.length === 0 ? "kept" : asks ? "asked" : "lost", lost, at: null };
  };

/** What one thing that happens does to each piece of a state. */
export const rowOf = (frame: Frame, view: View, state: State, happening: Happening): SurvivalRow => {
  const { steps, asks, end } = played(frame, view, state, happening.events);
  return { ...happening, steps, cells: pieces.map(cellOf(frame, view, happening.id, state, asks, end)) };
};

/** What everything that may happen does to each piece of a state, a question that is open left aside: found by running it. */
export const survivalOf = (frame: Frame, view: View, given: State): SurvivalRow[] => {
  const state = unasked(given);
  return happenings(frame, view, state).map((happening) => rowOf(frame, view, state, happening));
};

/** So many sentences say why. */
const mostReasons = 3;

/** Why a cell is as it is: the engine's reasons of the step in which the first of it was lost, or in which the person went elsewhere. */
export const whyOf = (frame: Frame, { steps }: SurvivalRow, { piece, lost, at }: SurvivalCell): string[] => {
  const first = lost[0];
  const found =
    steps.find(({ after }) => first && lostOf([first], after.state, piece).length > 0) ??
    (at ? steps.find(({ after, before }) => after.state.root !== before.state.root) : undefined);
  if (!found) return [];
  const said = explain(frame, found.view, found.before, found.event, found.after);
  const asked = found.before.state.asking ? found.before.notes : [];
  return (asked.length ? explain(frame, found.view, null, null, found.before).slice(1).concat(said) : said).slice(
    0,
    mostReasons,
  );
};
