import type { Cell, Slot } from "../frame/cells.js";
import type { Frame, FrameField, Node } from "../frame/types.js";
import type { Id } from "../frame/parts.js";
import type { NodeKey } from "../frame/properties.js";

/** Adds nodes: `top` into `parent` behind `after` (null: first), or loose with no parent; the others are what is inside it. */
export interface AddEdit {
  kind: "add";
  nodes: Record<Id, Node>;
  top: Id;
  parent: Id | null;
  after: Id | null;
}
/** Takes a node and all that stands only in it out, with every reference to them. */
export interface RemoveEdit {
  kind: "remove";
  id: Id;
}
/** Gives a node another id, with every reference to it. */
export interface RenameEdit {
  kind: "rename";
  id: Id;
  to: Id;
}
/**
 * Moves a node from one container into another, or within one, behind `after` (null: first). `from` null takes it out of
 * none: a loose node is placed, a screen gets one place more. `to` null makes it loose.
 */
export interface MoveEdit {
  kind: "move";
  id: Id;
  from: Id | null;
  to: Id | null;
  after: Id | null;
}
/** Sets one key of a node; without a value the key goes back to its default. */
export interface SetEdit {
  kind: "set";
  node: Id;
  key: NodeKey;
  value?: unknown;
}
/** Sets what may differ by view in some cells of its grid, or without cells in every view alike. Without a value it is not said there. */
export interface VaryEdit {
  kind: "vary";
  /** Null for what is said of the app as a whole. */
  node: Id | null;
  slot: Slot;
  cells?: Cell[];
  value?: unknown;
}
/** Sets one field of the frame itself; without a value it goes back to its default. */
export interface SetFrameEdit {
  kind: "setFrame";
  key: FrameField;
  value?: unknown;
}
/** A copy of a node and all inside it, under the new `ids` (old to new). */
export interface DuplicateEdit {
  kind: "duplicate";
  id: Id;
  ids: Record<Id, Id>;
  parent: Id | null;
  after: Id | null;
}
/** Several edits as one. */
export interface BatchEdit {
  kind: "batch";
  edits: Edit[];
}
/** Another frame in place of this one, as when an earlier revision is restored. */
export interface ReplaceEdit {
  kind: "replace";
  frame: Frame;
}

/** Keys that are set, and keys that are taken away. */
export interface KeyChange {
  set?: Record<string, unknown>;
  drop?: string[];
}
/** What becomes of one node in a `restore`: gone, there as given, or with some keys set and some dropped. */
export type NodeChange =
  | { gone: true }
  | { node: Node }
  | (KeyChange & {
      /** The children before this change: those that came or went since then stay come or gone. */
      children?: Id[];
    });
/** Puts nodes and fields back to values they had: what every edit's inverse is. */
export interface RestoreEdit {
  kind: "restore";
  nodes?: Record<Id, NodeChange>;
  fields?: KeyChange;
  /** Nodes that have another id by this, old to new: what showed the one goes on showing the other. */
  renamed?: Record<Id, Id>;
}

/** A change of a frame as a value: it can be applied, inverted, sent, kept and applied again to a frame that went on. */
export type Edit =
  | AddEdit
  | RemoveEdit
  | RenameEdit
  | MoveEdit
  | SetEdit
  | VaryEdit
  | SetFrameEdit
  | DuplicateEdit
  | BatchEdit
  | ReplaceEdit
  | RestoreEdit;
/** The kinds of edits. */
export type EditKind = Edit["kind"];
/** An edit of one kind. */
export type EditOf<K extends EditKind> = Extract<Edit, { kind: K }>;

/** One operation of a JSON Patch (RFC 6902). */
export type PatchOperation = { op: "add" | "replace"; path: string; value: unknown } | { op: "remove"; path: string };
