import type { Frame } from "../frame/types.js";
import { applySoundly, type EditResult } from "./apply.js";
import type { Edit } from "./edit.js";

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

/** What is done to a history: an edit is made, or the last is undone or redone, or a change from elsewhere comes in. */
export type HistoryEvent =
  { do: "edit"; edit: Edit; label: string } | { do: "undo" } | { do: "redo" } | { do: "elsewhere"; edit: Edit };

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

/** The next history; undo and redo are edits themselves, so that they can be sent and kept like any other. */
export const fold = (history: History, event: HistoryEvent): HistoryResult => {
  const { done, undone } = history;
  const last = event.do === "undo" ? done.at(-1) : event.do === "redo" ? undone.at(-1) : undefined;
  if (!last && (event.do === "undo" || event.do === "redo")) return nothing(event.do);
  const edit = event.do === "undo" ? last!.inverse : event.do === "redo" ? last!.edit : event.edit;
  const label =
    event.do === "undo"
      ? `Undo: ${last!.label}`
      : event.do === "redo"
        ? `Redo: ${last!.label}`
        : event.do === "edit"
          ? event.label
          : "";
  const result = applySoundly(history.frame, edit);
  if (!result.ok) return result;
  const { frame, inverse } = result;
  const next: History =
    event.do === "undo"
      ? { frame, done: done.slice(0, -1), undone: [...undone, { ...last!, edit: inverse }] }
      : event.do === "redo"
        ? { frame, done: [...done, { ...last!, inverse }], undone: undone.slice(0, -1) }
        : event.do === "edit"
          ? { frame, done: [...done, { label, edit, inverse }], undone: [] }
          : { ...history, frame };
  return { ok: true, history: next, edit, label, result };
};
