import { askingFirst, isLeftUnasked } from "../change/ask-leave.js";
import { applyEdit } from "../edit/apply.js";
import type { Edit } from "../edit/edit.js";
import { propertyEdit } from "../edit/property-edit.js";
import { keepOf } from "../frame/defaults.js";
import { lensOf } from "../frame/look.js";
import { nodeAt } from "../frame/nodes.js";
import { plainName } from "../frame/names.js";
import type { Frame } from "../frame/types.js";
import type { View } from "../frame/view.js";
import { entriesInside } from "../navigate/entries.js";
import { refit } from "../navigate/refit.js";
import type { Entry, State } from "../navigate/state.js";
import type { Piece } from "./pieces.js";
import { type Fate, rowOf, type SurvivalRow, survivalOf } from "./survival.js";

/** One setting that changes what becomes of a piece. */
export interface SurvivalMend {
  label: string;
  edit: Edit;
  /** What becomes of the piece with it. */
  fate: Fate;
  /** How many other cells are other with it. */
  elsewhere: number;
}

const hubsIn = (entry: Entry, found: Entry[] = []): Entry[] => {
  if (entry.kind === "hub") found.push(entry);
  for (const inner of entriesInside(entry)) hubsIn(inner, found);
  return found;
};

/** Settings that may have to do with what is lost: tried one by one, as the engine knows best. */
const candidates = (
  frame: Frame,
  view: View,
  state: State,
  row: SurvivalRow,
  piece: Piece,
): { label: string; edit: Edit }[] => {
  const found: { label: string; edit: Edit }[] = [];
  const { look } = lensOf(frame, view);
  for (const { node: id } of hubsIn(state.root)) {
    const hub = nodeAt(frame, id);
    if (hub.kind !== "hub") continue;
    const name = plainName(frame, id);
    if (keepOf(hub) !== "live")
      found.push({ label: `Tabs of ${name} keep everything`, edit: propertyEdit(frame, id, "keep", undefined) });
    if (look(id).again === "root")
      found.push({ label: "Chosen again it scrolls up alone", edit: propertyEdit(frame, id, "again", "top") });
    if (look(id).again !== "none")
      found.push({ label: "Chosen again it does nothing", edit: propertyEdit(frame, id, "again", "none") });
  }
  const relaunch = frame.relaunch ?? "place";
  const setRelaunch = (value: "place" | "everything", label: string) =>
    found.push({ label, edit: { kind: "setFrame", key: "relaunch", value } });
  if (relaunch === "nothing") setRelaunch("place", "Come back to the same place");
  if (relaunch !== "everything") setRelaunch("everything", "Come back with everything");
  const losing = new Set((row.cells.find((cell) => cell.piece === piece)?.lost ?? []).map(({ node }) => node));
  const silent = [...losing].filter((id) => isLeftUnasked(frame, id));
  if (piece === "draft" && silent.length > 0) found.push(askingFirst(frame, silent));
  return found;
};

/** How good it is: a mend makes it better. */
const worth: Readonly<Record<Fate, number>> = { lost: 0, moved: 1, asked: 2, kept: 3, none: 3 };

const differing = (a: readonly SurvivalRow[], b: readonly SurvivalRow[]): number =>
  a.reduce((sum, row) => {
    const other = b.find(({ id }) => id === row.id);
    const cells = other ? row.cells.filter((cell, i) => cell.fate !== other.cells[i]?.fate) : [];
    return sum + cells.length;
  }, 0);

/** The settings that would make one cell better, each tried by running it, with how many other cells it changes. */
export const mendsOf = (
  frame: Frame,
  view: View,
  state: State,
  rows: readonly SurvivalRow[],
  row: SurvivalRow,
  piece: Piece,
): SurvivalMend[] => {
  const now = row.cells.find((cell) => cell.piece === piece)?.fate;
  if (now === undefined) return [];
  return candidates(frame, view, state, row, piece).flatMap(({ label, edit }) => {
    const result = applyEdit(frame, edit);
    if (!result.ok) return [];
    const there = refit(frame, result.frame, view, state);
    const fate = rowOf(result.frame, view, there, row).cells.find((cell) => cell.piece === piece)?.fate;
    if (fate === undefined || worth[fate] <= worth[now]) return [];
    const others = survivalOf(result.frame, view, there);
    return [{ label, edit, fate, elsewhere: Math.max(0, differing(rows, others) - 1) }];
  });
};
