import type { Id } from "../../frame/parts.js";
import type { Frame } from "../../frame/types.js";
import type { Draft } from "../draft.js";
import type { EditKind, EditOf } from "../edit.js";
import type { Renames } from "../renames.js";

/** One key that an edit gives a value: of a node, or (null) of the frame itself. */
export interface Given {
  node: Id | null;
  key: string;
  value: unknown;
}
/** A key of a node, or (null) of the frame itself. */
export type GivenKey = Pick<Given, "node" | "key">;

/**
 * Everything about one kind of edit. What takes an edit back is the same for all: the draft knows what it changed, and
 * gives a `restore` of just that.
 */
export interface Kind<K extends EditKind> {
  /** Carries it out on a draft. Throws a refusal where it cannot be. */
  apply: (draft: Draft, edit: EditOf<K>) => void;
  /** The keys that it gives a value: two edits made at once that give one key two values clash. */
  gives: (edit: EditOf<K>) => Given[];
  /** The edit without the values of keys that do not stay; null when nothing of it is left. */
  strip: (edit: EditOf<K>, stays: (key: GivenKey) => boolean) => EditOf<K> | null;
  /** What of it goes on a frame that others changed meanwhile; null when nothing does. */
  merges: (edit: EditOf<K>, frame: Frame) => EditOf<K> | null;
  /** Which nodes have another id by it. */
  renames: (edit: EditOf<K>) => Renames;
}
