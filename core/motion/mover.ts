import type { Box } from "../arrange/box.js";
import { type Now, type Path, pathFrom, pathHome, trackProperties, type TrackProperty } from "./path.js";
import type { Track } from "../frame/parts.js";
import { atRest, layerAt, type LayerPaths, type LayerSample, pathsOf } from "./sample.js";
import type { MoverId } from "./layers.js";

/** What moves as one for a while: how, from when on, and how it lies to what is around it. Times are ms of the device's clock. */
export interface Mover {
  id: MoverId;
  paths: LayerPaths;
  start: number;
  end: number;
  /** Its own box: what `x` and `y` are shares of, and whose middle it is scaled and turned about. */
  box: Box;
  /** It shows within this box alone. */
  clip: Box | null;
  /** It is drawn on the page's colour, so that nothing beneath shows through it where it is not itself transparent. */
  isOpaque: boolean;
  /** It lies under its neighbour. */
  isUnder: boolean;
  /** Start is the right edge: `x` and `turn` go the other way. */
  rtl: boolean;
  /** What it goes by, for who takes it over. */
  tracks: readonly Track[];
  /** A finger leads it: it stands still by itself. `pace`: ms of the motion that pass in one of the clock. */
  led?: { at: number; pace: number };
}

/** How far a mover has come in its motion, ms. */
export const passedBy = ({ start, led }: Mover, time: number): number => led?.at ?? time - start;

/** How a mover is drawn at a time. */
export const moverAt = (mover: Mover, time: number): LayerSample => layerAt(mover.paths, passedBy(mover, time));

/** Where a property of a mover is at a time, and how fast it goes. */
export const nowOf = (mover: Mover, property: TrackProperty, time: number): Now | null => {
  const path = mover.paths[property];
  if (!path) return null;
  const at = passedBy(mover, time);
  return { value: path.at(at), speed: path.speed(at) * (mover.led?.pace ?? 1) };
};

/** Whether a mover is under way at a time. */
export const isUnderWay = (mover: Mover, time: number): boolean => mover.led !== undefined || time < mover.end;

const isAt = ({ value, speed }: Now, track: Track): boolean => value === track.from && speed === 0;

/**
 * How a layer goes by new tracks from a time on: where it is under way already, each property goes on from where it is and as
 * fast as it goes; what no track moves any more goes home.
 */
export const pathsFrom = (
  tracks: readonly Track[],
  before: Mover | undefined,
  time: number,
  ms: number,
): LayerPaths => {
  if (!before || !isUnderWay(before, time)) return pathsOf(tracks);
  const plain = pathsOf(tracks);
  const next = trackProperties.map((property): [TrackProperty, Path | undefined] => {
    const now = nowOf(before, property, time) ?? { value: atRest[property], speed: 0 };
    const track = tracks.find((each) => each.property === property);
    if (track) return [property, isAt(now, track) ? plain[property] : pathFrom(track, now)];
    return [property, before.paths[property] && pathHome(now, atRest[property], ms)];
  });
  return Object.fromEntries(next.filter(([, path]) => path !== undefined));
};

/** The last end of some paths, ms. */
export const endOf = (paths: LayerPaths): number => Math.max(0, ...Object.values(paths).map((path) => path?.end ?? 0));
