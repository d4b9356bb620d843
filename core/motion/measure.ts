import type { Motion, MotionShape, Track } from "../frame/parts.js";
import { highest, overshootOf, trackPath, peakSpeedOf, spread } from "./path.js";
import { type LayerSample, type MotionSample, sample } from "./sample.js";
import { shapeOf, type Toward } from "./shape.js";

/** What a motion comes to. */
export interface Measure {
  /** The end of the last track, ms. */
  ms: number;
  /** When the last spring has settled, ms; without springs the same as `ms`. */
  settle: number;
  /** The most that any track goes beyond its end, as a share of its travel. */
  overshoot: number;
  /** The highest speed of any track, travels a second; steps are left out. */
  peakSpeed: number;
  /** The largest share of the region through which the background shows, and when, ms. */
  bare: { share: number; at: number };
}

type Span = readonly [from: number, to: number];
const lengthOf = ([from, to]: Span): number => Math.max(0, to - from);
const cut = ([from, to]: Span): Span => [Math.max(0, from), Math.min(1, to)];

/** Where a layer lies, as shares of the region that is as large as the layer. */
const boxOf = ({ x, y, scale, turn }: LayerSample): { across: Span; down: Span } => {
  const wide = (Math.abs(scale) * Math.abs(Math.cos((turn * Math.PI) / 180))) / 2;
  const high = Math.abs(scale) / 2;
  const [middle, centre] = [0.5 + x / 100, 0.5 + y / 100];
  return { across: cut([middle - wide, middle + wide]), down: cut([centre - high, centre + high]) };
};

const common = (a: Span, b: Span): number => lengthOf([Math.max(a[0], b[0]), Math.min(a[1], b[1])]);

/** The share of the region through which what lies behind both layers shows. */
export const bareOf = ({ incoming, outgoing }: MotionSample): number => {
  const [one, other] = [boxOf(incoming), boxOf(outgoing)];
  const [a1, a2] = [incoming.opacity, outgoing.opacity];
  const areaOne = lengthOf(one.across) * lengthOf(one.down);
  const areaOther = lengthOf(other.across) * lengthOf(other.down);
  const both = common(one.across, other.across) * common(one.down, other.down);
  return Math.max(0, 1 - (areaOne * a1 + areaOther * a2 - both * a1 * a2));
};

const tracksOf = ({ incoming, outgoing }: MotionShape): readonly Track[] => [...incoming, ...outgoing];

/** The moments at which a motion is looked at to find its extremes: evenly spread, and where a track begins or ends. */
const momentsOf = (tracks: readonly Track[], ms: number): number[] => {
  const ends = tracks.flatMap((track) => [track.delay ?? 0, trackPath(track).end]);
  return [...new Set([...spread(ms, 240), ...ends])].sort((a, b) => a - b);
};

/** The largest bare share of a motion, and when it is first so large, ms. */
const mostBare = (motion: Motion, toward: Toward, tracks: readonly Track[], ms: number): Measure["bare"] => {
  const { value, at } = highest((t) => bareOf(sample(motion, toward, t)), momentsOf(tracks, ms));
  // what is left over by reckoning alone is nothing that shows
  return value < 1e-9 ? { share: 0, at: 0 } : { share: value, at };
};

/** How long a motion takes, each way. */
export const lastingOf = (motion: Motion, toward: Toward = "forward"): Pick<Measure, "ms" | "settle"> => {
  const tracks = tracksOf(shapeOf(motion, toward));
  const ends = tracks.map((track) => trackPath(track).end);
  const ms = Math.max(0, ...ends);
  const springs = ends.filter((_, i) => {
    const ease = tracks[i]?.ease;
    return ease !== undefined && ease !== "linear" && "spring" in ease;
  });
  return { ms, settle: springs.length ? Math.max(...springs) : ms };
};

/** What a motion comes to, each way. */
export const measure = (motion: Motion, toward: Toward = "forward"): Measure => {
  const tracks = tracksOf(shapeOf(motion, toward));
  const lasting = lastingOf(motion, toward);
  return {
    ...lasting,
    overshoot: Math.max(0, ...tracks.map(overshootOf)),
    peakSpeed: Math.max(0, ...tracks.map((track) => peakSpeedOf(track).value)),
    bare: mostBare(motion, toward, tracks, lasting.ms),
  };
};
