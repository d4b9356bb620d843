import { sure } from "../frame/sure.js";
import type { Frame } from "../frame/types.js";
import { applySoundly, type EditResult } from "./apply.js";
import { clashesOf, withoutClashes } from "./clash.js";
import type { Edit } from "./edit.js";
import { mergedInto } from "./table.js";

/** One change that was made, with what takes it back. */
export interface Change {
  label: string;
  edit: Edit;
  inverse: Edit;
}

/** A frame with the changes that can be undone, the last one last, and those that can be redone, the next one last. */
export interface History {
  frame: Frame;
  done: readonly Change[];
  undone: readonly Change[];
}

/** What is done to a history: an edit is made, or the last is undone or redone. */
export type HistoryEvent = { do: "edit"; edit: Edit; label: string } | { do: "undo" } | { do: "redo" };

/** The next history with what was done, or why that cannot be. */
export type HistoryResult =
  | { ok: true; history: History; edit: Edit; label: string; result: Extract<EditResult, { ok: true }> }
  | { ok: false; faults: Extract<EditResult, { ok: false }>["faults"] };

const nothing = (what: string): HistoryResult => ({
  ok: false,
  faults: [
    {
      pointer: "",
      received: `${what} with nothing to ${what}`,
      expected: `a change to ${what}`,
      remedy: "Change something first.",
    },
  ],
});

/** The list up to the last change that can be made on the frame and does something there: what is offered is what will be done. */
const upToUsable = (frame: Frame, changes: readonly Change[], side: "edit" | "inverse"): readonly Change[] => {
  const last = changes.findLastIndex((change) => {
    const result = applySoundly(frame, change[side]);
    return result.ok && result.patches.length > 0;
  });
  return last === changes.length - 1 ? changes : changes.slice(0, last + 1);
};

const usable = ({ frame, done, undone }: History): History => ({
  frame,
  done: upToUsable(frame, done, "inverse"),
  undone: upToUsable(frame, undone, "edit"),
});

/** The next history; undo and redo are edits themselves, so that they can be sent and kept like any other. */
export const fold = (history: History, event: HistoryEvent): HistoryResult => {
  const { done, undone } = history;
  const last = event.do === "undo" ? done.at(-1) : event.do === "redo" ? undone.at(-1) : undefined;
  if (!last && event.do !== "edit") return nothing(event.do);
  const edit = event.do === "undo" ? sure(last).inverse : event.do === "redo" ? sure(last).edit : event.edit;
  const label =
    event.do === "undo" ? `Undo: ${sure(last).label}` : event.do === "redo" ? `Redo: ${sure(last).label}` : event.label;
  const result = applySoundly(history.frame, edit);
  if (!result.ok) return result;
  // what changes nothing is no step: an undo of it would do nothing
  if (event.do === "edit" && result.patches.length === 0) return { ok: true, history, edit, label, result };
  const { frame, inverse } = result;
  const next: History =
    event.do === "undo"
      ? usable({ frame, done: done.slice(0, -1), undone: [...undone, { ...sure(last), edit: inverse }] })
      : event.do === "redo"
        ? usable({ frame, done: [...done, { ...sure(last), inverse }], undone: undone.slice(0, -1) })
        : { frame, done: [...done, { label, edit, inverse }], undone: [] };
  return { ok: true, history: next, edit, label, result };
};

/**
 * The history on a frame that others changed by `theirs`: what they gave a value since is not taken back by an undo of one's
 * own, and what cannot be undone or redone any more is not offered.
 */
export const carriedOver = (history: History, frame: Frame, theirs: readonly Edit[]): History => {
  const left = (changes: readonly Change[], side: "edit" | "inverse"): Change[] =>
    changes.flatMap((change) => {
      const clashes = clashesOf(change[side], theirs);
      const stripped = clashes.length ? withoutClashes(change[side], clashes) : change[side];
      const there = stripped && mergedInto(stripped, frame);
      return there ? [there === change[side] ? change : { ...change, [side]: there }] : [];
    });
  return usable({ frame, done: left(history.done, "inverse"), undone: left(history.undone, "edit") });
};
