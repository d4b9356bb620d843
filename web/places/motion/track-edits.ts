import {
  type Ease,
  firstOf,
  keysOf,
  type LayerName,
  type Motion,
  type MotionShape,
  shapeOf,
  springFor,
  type Toward,
  type Track,
  type TrackProperty,
  writtenOut,
} from "../../../core/index.js";
import { type EaseKind, easeKindOf, namedCurves, trackProperties } from "./motion-words.js";

/** Which track of a motion: a layer has one of each property. */
export interface TrackPlace {
  toward: Toward;
  layer: LayerName;
  property: TrackProperty;
}

/** The tracks of a motion's two ways that are written in it: by the mirror the way back is none of its own. */
const withShape = (motion: Motion, toward: Toward, change: (shape: MotionShape) => MotionShape): Motion => {
  if (toward === "forward") return { ...motion, forward: change(motion.forward) };
  return { ...writtenOut(motion), back: change(shapeOf(motion, "back")) };
};

/** A motion with one of its tracks changed. */
export const withTrack = (motion: Motion, { toward, layer, property }: TrackPlace, change: Partial<Track>): Motion =>
  withShape(motion, toward, (shape) => ({
    ...shape,
    [layer]: shape[layer].map((track) => (track.property === property ? tidy({ ...track, ...change }) : track)),
  }));

/** A track as it is written: a spring has no time of its own, and no delay is not said. */
const tidy = ({ delay, ms, ...track }: Track): Track => ({
  ...track,
  ...(delay ? { delay } : {}),
  ...(easeKindOf(track.ease) === "spring" ? {} : { ms: ms ?? usualMs }),
});

/** How long a track takes that had no time of its own, ms. */
const usualMs = 240;

export const withoutTrack = (motion: Motion, { toward, layer, property }: TrackPlace): Motion =>
  withShape(motion, toward, (shape) => ({
    ...shape,
    [layer]: shape[layer].filter((track) => track.property !== property),
  }));

/** Properties that no track of a layer moves yet. */
export const freeProperties = (shape: MotionShape, layer: LayerName): TrackProperty[] =>
  keysOf(trackProperties).filter((property) => !shape[layer].some((track) => track.property === property));

/** Where a new track begins, far from its rest. */
const begins: Readonly<Record<TrackProperty, number>> = { x: 100, y: 100, scale: 0.9, opacity: 0, turn: 60 };

/** A motion with one track more: what comes in comes to its rest, what goes out goes from there. */
export const withNewTrack = (motion: Motion, { toward, layer, property }: TrackPlace): Motion =>
  withShape(motion, toward, (shape) => {
    const { rest } = trackProperties[property];
    const far =
      layer === "incoming"
        ? begins[property]
        : property === "x" || property === "y"
          ? -begins[property]
          : begins[property];
    const [from, to] = layer === "incoming" ? [far, rest] : [rest, far];
    const like = shape.incoming[0] ?? shape.outgoing[0];
    const track: Track = tidy({
      property,
      from,
      to,
      ease: like?.ease ?? "linear",
      ...(like?.ms !== undefined && { ms: like.ms }),
    });
    return { ...shape, [layer]: [...shape[layer], track] };
  });

export const withAbove = (motion: Motion, toward: Toward, above: LayerName): Motion =>
  withShape(motion, toward, (shape) => ({ ...shape, above }));

/** An ease of another kind, as near to the one before as it can be. */
export const easeOfKind = (kind: EaseKind, ms: number): Ease => {
  switch (kind) {
    case "linear":
      return "linear";
    case "bezier":
      return { bezier: [...firstOf(namedCurves).bezier] };
    case "spring":
      return { spring: roundedSpring(springFor({ settle: Math.max(80, ms), overshoot: 0 })) };
    case "steps":
      return { steps: 6 };
  }
};

/** A spring whose figures are written with few digits, so that they can be read. */
export const roundedSpring = <T extends { mass: number; stiffness: number; damping: number }>(spring: T): T => ({
  ...spring,
  stiffness: Number(spring.stiffness.toPrecision(6)),
  damping: Number(spring.damping.toPrecision(6)),
});
