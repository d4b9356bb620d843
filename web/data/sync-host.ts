import type { Clash, Edit, Frame, Renames } from "../../core/index.js";
import type { Aside } from "./aside.js";
import type { FileState } from "./file.js";
import type { Queued } from "./waiting.js";

/** How far the server has what was changed. */
export type SyncState = "saved" | "saving" | "away";

/** What a window is told of how it and the server stand. */
export interface Standing {
  /** The revision the server has, by all we know. */
  revision: number;
  sync: SyncState;
  /** Edits that wait to be sent. */
  waiting: number;
  /** What waits is kept in this browser, and would be sent after it was closed. */
  isKept: boolean;
  deleted: boolean;
  /** Why the server cannot store the edit that is tried again just now; null while none is. */
  trouble: string | null;
  /** The file it is worked on in; null when it is kept on the shelf alone. */
  file: FileState | null;
}

/** What others did to the frame. */
export interface Theirs {
  edits: readonly Edit[];
  /** The nodes that have another id by that. */
  renamed: Renames;
}

/** Whoever shows the frame: it is told of what others did, and of what became of its own edits. */
export interface SyncHost {
  stand: (change: Partial<Standing>) => void;
  /** The frame with what others did under what waits; null where it is not known what that was. */
  show: (frame: Frame, theirs: Theirs | null) => void;
  /** What a window left unsent that is gone is made here again; its key stays. */
  again: (queued: Queued) => void;
  /** An edit was not made as it was: `left` is what is left of it, without the clashes; null is nothing. */
  dropped: (edit: Edit, left: Edit | null, clashes: readonly Clash[]) => void;
  /** Edits that the server could not store are not in the frame any more: they are for the person to see to. */
  aside: (edits: readonly Aside[]) => void;
  /** Values that were written here and elsewhere at once. */
  clashed: (clashes: readonly Clash[]) => void;
  fault: (text: string) => void;
}
