import type { Edit } from "./edit.js";
import type { Id } from "../frame/parts.js";

/** A node in one of its places. */
export interface Part {
  id: Id;
  /** The container it is looked at in; null for the root and for what is loose. */
  parent: Id | null;
}

/** An edit ready to be made: what it is called, and what is chosen after it. */
export interface Planned {
  edit: Edit;
  label: string;
  choose: Part | null;
}
