import { pointer } from "../frame/pointer.js";
import type { Frame } from "../frame/types.js";

/** Something a frame uses that the engine does not run yet. */
export interface Beyond {
  /** JSON Pointer of the place. */
  pointer: string;
  /** What it is, as the subject of a sentence. */
  what: string;
}

const known = new WeakMap<Frame, boolean>();

/** Whether the engine runs all that the frame uses. Whoever runs a frame asks first. */
export const isInRange = (frame: Frame): boolean => {
  let within = known.get(frame);
  if (within === undefined) known.set(frame, (within = beyondRange(frame).length === 0));
  return within;
};

/** What of a frame the engine would run wrongly, and so must not run: needs. Empty for a frame it runs wholly. */
export const beyondRange = (frame: Frame): Beyond[] =>
  Object.entries(frame.nodes).flatMap(([id, node]) =>
    node.needs?.length ? [{ pointer: pointer("nodes", id, "needs"), what: "Needs" }] : [],
  );
