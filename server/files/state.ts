import type { Fault, Frame } from "../../core/index.js";

/** A frame as it is at one of its revisions. */
export interface AtRevision {
  revision: number;
  frame: Frame;
}

/** How a frame and the file it is kept in stand to one another. */
export type FileStanding =
  /** The file holds the newest revision. */
  | { is: "in step" }
  /** What stands in the file cannot be used; the last good frame stays, and the file is left as it is. */
  | { is: "broken"; faults: Fault[] }
  /** The file is gone; the next change writes it anew. */
  | { is: "gone" }
  /** The file could not be read or written. */
  | { is: "out of reach"; why: string };

/** The file of a frame, as it is told to those who have the frame open. */
export type FileState = FileStanding & { name: string; path: string };
