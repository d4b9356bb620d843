import { subtreeOf } from "../frame/frame-index.js";
import type { Id } from "../frame/parts.js";
import type { FixedFrame } from "../frame/types.js";
import { type Way, waysIn } from "./ways.js";

/** All that goes when these are taken out of a frame. */
export const goneWith = (frame: FixedFrame, ids: readonly Id[]): ReadonlySet<Id> =>
  new Set(ids.flatMap((id) => subtreeOf(frame, id)));

/** The ways that go when these nodes are taken out: those that lead there from what stays. */
export const waysGoneWith = (frame: FixedFrame, ids: readonly Id[]): Way[] => {
  const gone = goneWith(frame, ids);
  return [...gone].flatMap((id) => waysIn(frame, id).filter(({ from }) => !gone.has(from)));
};
