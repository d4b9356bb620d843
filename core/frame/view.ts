import { bandsOf, targetOf } from "./defaults.js";
import type { Band, Frame, Id, Target } from "./types.js";

/** Widths that content keeps clear of, in CSS px: what a device's own edge covers. */
export interface Insets {
  top: number;
  right: number;
  bottom: number;
  left: number;
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
}

export const noInsets: Insets = { top: 0, right: 0, bottom: 0, left: 0 };

/** A view with the frame's first target, unless given otherwise. Default 390 by 844. */
export const viewOf = (frame: Frame, given: Partial<View> = {}): View => ({
  width: 390,
  height: 844,
  calm: false,
  rtl: false,
  insets: noInsets,
  ...given,
  target: targetOf(frame, given.target).id,
});

/** The band of a width: the last one that starts at or below it. */
export const bandAt = (frame: Frame, width: number): Band => {
  const bands = bandsOf(frame);
  let found = bands[0]!;
  for (const band of bands) if (band.from <= width) found = band;
  return found;
};

export const targetIn = (frame: Frame, view: View): Target => targetOf(frame, view.target);

/** The entry of a table by band for a width: that of its band, else of the next narrower one that has any. */
export const byBand = <T>(frame: Frame, table: Readonly<Record<Id, T>> | undefined, width: number): T | undefined => {
  if (!table) return undefined;
  const bands = bandsOf(frame);
  for (let i = bands.length - 1; i >= 0; i -= 1) {
    const band = bands[i]!;
    if (band.from <= width && table[band.id] !== undefined) return table[band.id];
  }
  return undefined;
};
