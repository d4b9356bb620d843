import { bandsOf } from "./defaults.js";
import type { Band, Id, Views } from "./parts.js";
import type { FixedFrame } from "./types.js";
import { bandAt, type View } from "./view.js";

/** All views in which every node looks the same: those of one target and one band, low or not. */
export interface ViewClass {
  target: Id;
  /** The place of the band among those of the frame, narrowest first. */
  band: number;
  /** Lower than the frame's `short`. */
  short: boolean;
}

/** The class of a view. */
export const classOf = (frame: FixedFrame, { target, width, height }: View): ViewClass => ({
  target,
  band: bandsOf(frame).indexOf(bandAt(frame, width)),
  short: frame.short !== undefined && height < frame.short,
});

/** The class of the views of a band on a target, low or not. */
export const classIn = (frame: FixedFrame, band: Id, target: Id, short = false): ViewClass => ({
  target,
  band: bandPlace(bandsOf(frame), band),
  short,
});

/** The place of a band among those of a frame, narrowest first; -1 where it is none of them. */
export const bandPlace = (bands: readonly Band[], id: Id): number => bands.findIndex((band) => band.id === id);

/** Whether a class of views is in a range. A band that is not there is in none. */
export const isIn = (bands: readonly Band[], { on, from, to, short }: Views, at: ViewClass): boolean => {
  if (short && !at.short) return false;
  if (on && !on.includes(at.target)) return false;
  if (from !== undefined) {
    const first = bandPlace(bands, from);
    if (first < 0 || at.band < first) return false;
  }
  return to === undefined || at.band <= bandPlace(bands, to);
};
