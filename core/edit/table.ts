import type { Frame } from "../frame/types.js";
import type { Draft } from "./draft.js";
import type { Edit, EditKind, EditOf } from "./edit.js";
import { add } from "./kinds/add.js";
import { duplicate } from "./kinds/duplicate.js";
import type { Given, GivenKey, Kind } from "./kinds/kind.js";
import { move } from "./kinds/move.js";
import { remove } from "./kinds/remove.js";
import { rename } from "./kinds/rename.js";
import { replace } from "./kinds/replace.js";
import { restore } from "./kinds/restore.js";
import { set, setFrame } from "./kinds/set.js";
import { vary } from "./kinds/vary.js";
import { noRenames, type Renames, thenRenamed } from "./renames.js";

/** Several edits as one: what holds of each holds of all of them. */
const batch: Kind<"batch"> = {
  apply: (draft, { edits }) => {
    for (const edit of edits) carryOut(draft, edit);
  },
  gives: ({ edits }) => edits.flatMap(givenBy),
  strip: ({ edits }, stays) => {
    const left = edits.flatMap((edit) => stripped(edit, stays) ?? []);
    return left.length ? { kind: "batch", edits: left } : null;
  },
  merges: (edit) => edit,
  renames: ({ edits }) => edits.reduce<Renames>((names, edit) => thenRenamed(names, renamesOf(edit)), noRenames),
};

/** Every kind of edit; one that is not here does not compile. */
const kinds: { [K in EditKind]: Kind<K> } = {
  add,
  remove,
  rename,
  move,
  set,
  vary,
  setFrame,
  duplicate,
  batch,
  replace,
  restore,
};

/** All about the kind of an edit. An edit is of its own kind, which its type alone cannot say of a union. */
const kindOf = <K extends EditKind>(edit: EditOf<K>): Kind<K> => kinds[edit.kind as K];

/** Carries an edit out on a draft. Throws a refusal where it cannot be. */
export const carryOut = (draft: Draft, edit: Edit): void => kindOf(edit).apply(draft, edit);
/** The keys that an edit gives a value. */
export const givenBy = (edit: Edit): Given[] => kindOf(edit).gives(edit);
/** The edit without the values of keys that do not stay; null when nothing of it is left. */
export const stripped = (edit: Edit, stays: (key: GivenKey) => boolean): Edit | null => kindOf(edit).strip(edit, stays);
/** What of an edit goes on a frame that others changed meanwhile; null when nothing does. */
export const mergedInto = (edit: Edit, frame: Frame): Edit | null => kindOf(edit).merges(edit, frame);
/** Which nodes have another id by an edit. */
export const renamesOf = (edit: Edit): Renames => kindOf(edit).renames(edit);
