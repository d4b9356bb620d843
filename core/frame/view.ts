import { bandsOf, targetOf } from "./defaults.js";
import type { Band, Id, Target } from "./parts.js";
import type { FixedFrame } from "./types.js";

/** Widths that content keeps clear of, in CSS px: what a device's own edge covers. */
export interface Insets {
  top: number;
  right: number;
  bottom: number;
  left: number;
}

/** Where a device folds: an upright hinge begins at `x`, a level one at `y`, in CSS px of the view. It is `size` px wide, 0 for a fold alone. */
export type Hinge = { x: number; size: number } | { y: number; size: number };

/** A hole in a device's screen, such as a camera's, in CSS px of the view. It hides what lies under it and moves nothing. */
export interface Cut {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** A device's screen, in CSS px. */
export interface View {
  width: number;
  height: number;
  target: Id;
  /** Reduced motion is asked for. */
  calm: boolean;
  /** Right to left: `start` is the right edge. */
  rtl: boolean;
  insets: Insets;
  hinge?: Hinge;
  cuts?: readonly Cut[];
}

/** No edge of the device covers anything. */
export const noInsets: Insets = { top: 0, right: 0, bottom: 0, left: 0 };

/** A view with the frame's first target, unless given otherwise. Default 390 by 844. */
export const viewOf = (frame: FixedFrame, given: Partial<View> = {}): View => ({
  width: 390,
  height: 844,
  calm: false,
  rtl: false,
  insets: noInsets,
  ...given,
  target: targetOf(frame, given.target).id,
});

/** The band of a width: the last one that starts at or below it. */
export const bandAt = (frame: FixedFrame, width: number): Band => {
  const bands = bandsOf(frame);
  let found = bands[0]!;
  for (const band of bands) if (band.from <= width) found = band;
  return found;
};

/** The target of a view. */
export const targetIn = (frame: FixedFrame, view: View): Target => targetOf(frame, view.target);
