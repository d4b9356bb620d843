import { Standpoints } from "../explore/standpoints.js";
import type { FixedFrame } from "../frame/types.js";
import { type View, viewOf } from "../frame/view.js";
import { firstWaysOf } from "../walk/first-ways.js";

/** Where a person stands who comes to each node, by ways that were walked at once. */
export const walkedPoints = <F extends FixedFrame>(frame: F, view: View = viewOf(frame, {})): Standpoints<F> =>
  new Standpoints(frame, view, [firstWaysOf(frame, view)]);
