import { firstOf } from "../frame/sure.js";
import type { Edit } from "./edit.js";

/** Some edits as one step; the only one as it is. Throws where there is none. */
export const together = (edits: readonly Edit[]): Edit =>
  edits.length > 1 ? { kind: "batch", edits: [...edits] } : firstOf(edits);
