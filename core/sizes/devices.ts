import { bandsOf, targetOf } from "../frame/defaults.js";
import type { Id } from "../frame/parts.js";
import { sure } from "../frame/sure.js";
import type { FixedFrame } from "../frame/types.js";
import { type Cut, type Hinge, type Insets, noInsets, type View } from "../frame/view.js";

/** The screen of a device, in CSS px, without what a person has set on it. */
export interface DeviceShape {
  width: number;
  height: number;
  /** What its own strips cover at each edge. */
  insets: Insets;
  hinge?: Hinge;
  cuts?: readonly Cut[];
}

/** A device that there is to choose. */
export interface DevicePreset extends DeviceShape {
  id: string;
  label: string;
}

const strips = (top: number, bottom: number): Insets => ({ ...noInsets, top, bottom });

/** The devices to choose from: sizes of no maker, each with what such devices have of their own. */
export const devicePresets: readonly DevicePreset[] = [
  { id: "smallPhone", label: "Small phone", width: 320, height: 568, insets: strips(20, 0) },
  {
    id: "phone",
    label: "Phone",
    width: 390,
    height: 844,
    insets: strips(36, 22),
    cuts: [{ x: 183, y: 6, width: 24, height: 24 }],
  },
  {
    id: "phoneTurned",
    label: "Phone, turned",
    width: 844,
    height: 390,
    insets: { top: 0, right: 0, bottom: 18, left: 36 },
    cuts: [{ x: 6, y: 183, width: 24, height: 24 }],
  },
  { id: "foldClosed", label: "Fold, closed", width: 344, height: 840, insets: strips(28, 18) },
  {
    id: "foldOpen",
    label: "Fold, open",
    width: 700,
    height: 840,
    insets: strips(28, 18),
    hinge: { x: 344, size: 12 },
  },
  { id: "tablet", label: "Tablet", width: 820, height: 1180, insets: strips(24, 18) },
  { id: "tabletTurned", label: "Tablet, turned", width: 1180, height: 820, insets: strips(24, 18) },
  { id: "desktop", label: "Desktop window", width: 1440, height: 900, insets: noInsets },
];

/** A preset by its id. */
export const devicePreset = (id: string): DevicePreset | undefined => devicePresets.find((each) => each.id === id);

/**
 * A device turned a quarter to the left, or back where it lies on its side: what has a hole in its screen covers that edge
 * with it, the clock's strip of another stays on top.
 */
export const turned = ({ width, height, insets, hinge, cuts }: DeviceShape): DeviceShape => {
  const isUpright = height >= width;
  const holed = cuts !== undefined && cuts.length > 0;
  const { top, bottom, left } = insets;
  const onSide = holed ? { top: 0, right: 0, bottom, left: top } : insets;
  const upright = holed ? { top: left, right: 0, bottom, left: 0 } : insets;
  const turnedCut = ({ x, y, width: w, height: h }: Cut): Cut =>
    isUpright ? { x: y, y: width - x - w, width: h, height: w } : { x: height - y - h, y: x, width: h, height: w };
  const turnedHinge = (fold: Hinge): Hinge =>
    "x" in fold
      ? { y: isUpright ? width - fold.x - fold.size : fold.x, size: fold.size }
      : { x: isUpright ? fold.y : height - fold.y - fold.size, size: fold.size };
  return {
    width: height,
    height: width,
    insets: isUpright ? onSide : upright,
    ...(hinge && { hinge: turnedHinge(hinge) }),
    ...(cuts && { cuts: cuts.map(turnedCut) }),
  };
};

/** A device of another width: what lies beyond its edge then is not there. */
export const widened = (shape: DeviceShape, width: number): DeviceShape => {
  const { hinge, cuts, ...rest } = shape;
  const folds = hinge && (!("x" in hinge) || hinge.x + hinge.size < width);
  const kept = cuts?.filter((cut) => cut.x + cut.width <= width);
  return { ...rest, width, ...(folds && { hinge }), ...(kept && { cuts: kept }) };
};

/** What a person has set on a device. */
export interface DeviceUse {
  target?: Id | undefined;
  rtl: boolean;
  calm: boolean;
}

/** A device as a view. */
export const viewOn = (frame: FixedFrame, shape: DeviceShape, { target, rtl, calm }: DeviceUse): View => {
  const { width, height, insets, hinge, cuts } = shape;
  return {
    width,
    height,
    insets,
    rtl,
    calm,
    target: targetOf(frame, target).id,
    ...(hinge && { hinge }),
    ...(cuts && cuts.length > 0 && { cuts }),
  };
};

/** A usual width of each band from the narrowest on, px. */
const usual = [390, 700, 1100];
/** How high such a device is, px for each px of its width. */
const aspects = [844 / 390, 1.2, 0.72];

/** A usual size within a band; lower than the frame's `short` where that is asked. */
export const usualSize = (frame: FixedFrame, band: Id, short = false): { width: number; height: number } => {
  const bands = bandsOf(frame);
  const i = Math.max(
    0,
    bands.findIndex(({ id }) => id === band),
  );
  const { from } = sure(bands[i]);
  const next = bands[i + 1]?.from ?? Infinity;
  const nth = Math.min(i, 2);
  const width = Math.max(from, Math.min(sure(usual[nth]), next - 1)) || sure(usual[0]);
  const height = i === 0 ? 844 : Math.round(width * sure(aspects[nth]));
  const low = (frame.short ?? 1) - 1;
  return { width, height: short ? Math.max(1, Math.min(height, low, 360)) : height };
};
