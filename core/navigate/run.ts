import { type Lens, lensOf } from "../frame/look.js";
import type { Facts, Id, Params } from "../frame/parts.js";
import type { FixedFrame } from "../frame/types.js";
import type { View } from "../frame/view.js";
import { entriesInside, mapAll } from "./entries.js";
import type { Move } from "./event.js";
import type { Named, Note, NoteArgs, NoteCode } from "./notes.js";
import { emptyUi, type Entry, type State } from "./state.js";

/** One thing that happened in an event: the state after it, and what changed on screen. */
export interface Passed {
  state: State;
  moves: Move[];
}

/** What one event is carried out with. The only thing that changes while an event runs, and it is gone after it. */
export interface Run extends Lens {
  /** The facts as they are at this point of the event. */
  facts: Facts;
  clock: number;
  nextKey: number;
  notes: Note[];
  /** What happened one thing after another, where an event settles each by itself. */
  parts: Passed[];
  /** Drafts this event gave away, as `key/field`: they are not lost. */
  given: Set<string>;
}

/** A run of an event that comes to a state. */
export const newRun = (
  frame: FixedFrame,
  view: View,
  { clock, nextKey, facts }: Pick<State, "clock" | "nextKey" | "facts">,
): Run => {
  const { look, within, app } = lensOf(frame, view);
  return { frame, view, look, within, app, facts, clock, nextKey, notes: [], parts: [], given: new Set() };
};

/** Notes why something was done. */
export const note = <C extends NoteCode>(run: Run, code: C, node: Id | null, args: NoteArgs[C]): void => {
  run.notes.push({ code, node, args } as Note);
};

/** The state as it is, with a note why the event changed nothing. */
export const ignore = (run: Run, state: State, node: Id | null, args: NoteArgs["ignored"]): State => {
  note(run, "ignored", node, args);
  return state;
};

/** An entry as a note names it. */
export const named = ({ node: id, params }: Entry): Named => ({ id, params });

/** Whether two sets of params are the same values. */
export const sameParams = (a: Params, b: Params): boolean => {
  if (a === b) return true;
  const keys = Object.keys(a);
  return keys.length === Object.keys(b).length && keys.every((key) => Object.hasOwn(b, key) && a[key] === b[key]);
};

const loseDrafts = (run: Run, entry: Entry): void => {
  if (entry.ui === emptyUi) return;
  for (const [field, text] of Object.entries(entry.ui.drafts))
    if (text !== "" && !run.given.has(`${entry.key}/${field}`))
      note(run, "draft-lost", entry.node, { screen: named(entry), field });
};

/** What whoever gave an entry may want said in place of its drafts when it leaves as a whole. Nobody has to. */
interface SaysItself {
  ifLost?: Note;
}

/** Says which drafts go with an entry that leaves the state, and all inside it. */
export const lose = (run: Run, entry: Entry): void => {
  const { ifLost } = entry as Entry & SaysItself;
  if (ifLost) {
    run.notes.push(ifLost);
    return;
  }
  loseDrafts(run, entry);
  for (const inner of entry.kind === "hub" ? Object.values(entry.tabs) : entriesInside(entry)) lose(run, inner);
};

/** The entry, and all inside it, with what the person left there emptied. */
export const emptied = (run: Run, entry: Entry): Entry => {
  if (entry.kind !== "screen") return mapAll(entry, (inner) => emptied(run, inner));
  if (entry.ui === emptyUi) return entry;
  loseDrafts(run, entry);
  return { ...entry, ui: emptyUi };
};
