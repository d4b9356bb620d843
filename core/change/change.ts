import type { Part, Planned } from "../edit/part.js";
import type { Frame } from "../frame/types.js";
import type { Id } from "../frame/parts.js";

/** What a change of mind comes to: an edit ready to be made, or the reason why it cannot be. */
export type ChangeResult = { ok: true; planned: Planned } | { ok: false; why: string };

/** A way to think again about a part of the structure: one step, and one undo. */
export interface ChangeOfMind {
  id: string;
  label: string;
  says: string;
  /** What it can be done with; absent where there is nothing to choose. */
  targets?: (frame: Frame, parts: readonly Part[]) => readonly Id[];
  plan: (frame: Frame, parts: readonly Part[], target?: Id) => ChangeResult;
}

/** Why a change of mind does not go here. */
export const cannot = (why: string): ChangeResult => ({ ok: false, why });
/** A change of mind that goes, ready to be made. */
export const planned = (made: Planned): ChangeResult => ({ ok: true, planned: made });
