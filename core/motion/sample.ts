import type { Motion, MotionShape, Track } from "../frame/parts.js";
import { type Path, trackPath, type TrackProperty } from "./path.js";
import { type LayerName, shapeOf, type Toward } from "./shape.js";

/** How a layer is drawn: `x` and `y` in % of its own box, toward the end edge and down; `turn` in degrees about its upright axis. */
export type LayerSample = Readonly<Record<TrackProperty, number>>;

/** Both layers of a move at one time. */
export type MotionSample = Readonly<Record<LayerName, LayerSample>>;

/** A layer that nothing moves. */
export const atRest: LayerSample = { x: 0, y: 0, scale: 1, opacity: 1, turn: 0 };

/** How each property of a layer goes that a track moves. */
export type LayerPaths = Readonly<Partial<Record<TrackProperty, Path>>>;

const layers = new WeakMap<readonly Track[], LayerPaths>();
/** The paths of a layer's tracks; worked out once. */
export const pathsOf = (tracks: readonly Track[]): LayerPaths => {
  let paths = layers.get(tracks);
  if (!paths) {
    paths = Object.fromEntries(tracks.map((track) => [track.property, trackPath(track)]));
    layers.set(tracks, paths);
  }
  return paths;
};

/** An opacity is never more than whole, nor less than nothing, however far a spring swings. */
const drawn = (property: TrackProperty, value: number): number =>
  property === "opacity" ? Math.min(1, Math.max(0, value)) : value;

/** A layer at a time, ms from the beginning of the move. */
export const layerAt = (paths: LayerPaths, ms: number): LayerSample => {
  const sample: Record<TrackProperty, number> = { ...atRest };
  // this runs many times a frame: a loop over all that a track can move takes twice as long
  for (const key in paths) {
    const property = key as TrackProperty;
    const path = paths[property];
    if (path) sample[property] = drawn(property, path.at(ms));
  }
  return sample;
};

/** Both layers of a motion at a time, ms from its beginning. Of an unending time what it ends at. */
export const sample = (motion: Motion, toward: Toward, ms: number): MotionSample => {
  const { incoming, outgoing } = shapeOf(motion, toward);
  return { incoming: layerAt(pathsOf(incoming), ms), outgoing: layerAt(pathsOf(outgoing), ms) };
};

/** A layer as it is drawn where start is the right edge. */
export const mirroredLayer = (layer: LayerSample): LayerSample => ({ ...layer, x: -layer.x, turn: -layer.turn });

/** How long the tracks of a shape go on, ms. */
export const shapeMs = ({ incoming, outgoing }: MotionShape): number =>
  Math.max(0, ...[...incoming, ...outgoing].map((track) => trackPath(track).end));
