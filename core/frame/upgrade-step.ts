import type { Raw } from "./raw.js";

/** One step from a format to the next, with the same meaning in every view. What it does not understand it leaves as it is, for the reader to find fault with. */
export interface Upgrade {
  from: string;
  to: string;
  /** A node of a frame as it is in the next format. */
  node: (node: Raw, frame: Raw) => Raw;
  /** Keys given to a node that is in the next format, of a change that was made in this one; undefined takes a key away. */
  keys: (given: Raw, node: Raw, frame: Raw) => Raw;
}
