import type { Frame } from "../frame/types.js";
import { applyEdit } from "./apply.js";
import type { RestoreEdit } from "./edit.js";

/**
 * The edit that makes one frame of another, naming only what differs, so that it can be made on a frame that went on
 * meanwhile: what came or went there since then stays come or gone.
 */
export const editBetween = (before: Frame, after: Frame): RestoreEdit => {
  const there = applyEdit(before, { kind: "replace", frame: after });
  const back = there.ok && applyEdit(there.frame, there.inverse);
  if (!back || !back.ok) throw new Error("a frame that was read cannot be put in place of another");
  return back.inverse;
};
