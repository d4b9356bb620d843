import { nameOf } from "../frame/names.js";
import { withoutParams } from "../frame/names.js";
import type { Frame, Id, Node, Opens } from "../frame/types.js";
import type { Note, NoteCode } from "./events.js";
import type { Lens } from "./focus.js";
import { type ContainerEntry, emptyUi, type Entry, entriesInside, mapInside, type ScreenEntry } from "./state.js";
import { type Params } from "../frame/types.js";

/** What one event is carried out with. The only thing that changes while an event runs, and it is gone after it. */
export interface Run extends Lens {
  clock: number;
  nextKey: number;
  notes: Note[];
  /** Drafts this event gave away, as `key/field`: they are not lost. */
  given: Set<string>;
}

export const note = (run: Run, code: NoteCode, node: Id | null, text: string): void => {
  run.notes.push({ code, node, text });
};

export const nodeIn = (run: Run, id: Id): Node | undefined =>
  Object.hasOwn(run.frame.nodes, id) ? run.frame.nodes[id] : undefined;

export const sameParams = (a: Params, b: Params): boolean => {
  if (a === b) return true;
  const keys = Object.keys(a);
  return keys.length === Object.keys(b).length && keys.every((key) => Object.hasOwn(b, key) && a[key] === b[key]);
};

export interface Entering {
  params: Params;
  carried: Params;
  opens: Opens | null;
}

/** A screen's new entry. */
export const newScreen = (run: Run, node: Id, { params, carried, opens }: Entering): ScreenEntry => ({
  key: run.nextKey++,
  node,
  params,
  carried,
  opens,
  ui: emptyUi,
  since: run.clock,
});

const loseDrafts = (run: Run, entry: Entry): void => {
  for (const [field, text] of Object.entries(entry.ui.drafts))
    if (text !== "" && !run.given.has(`${entry.key}/${field}`))
      note(
        run,
        "draft-lost",
        entry.node,
        `${nameOf(run.frame, entry.node, entry.params)} held a draft in ${field}: it is lost.`,
      );
};

/** Says which drafts go with an entry that leaves the state, and all inside it. */
export const lose = (run: Run, entry: Entry): void => {
  loseDrafts(run, entry);
  for (const inner of entriesInside(entry)) lose(run, inner);
};

/** The entry, and all inside it, with what the person left there emptied. */
export const emptied = (run: Run, entry: Entry): Entry => {
  if (entry.inside) return mapInside(entry as ContainerEntry, (inner) => emptied(run, inner));
  if (entry.ui === emptyUi) return entry;
  loseDrafts(run, entry);
  return { ...entry, ui: emptyUi };
};
