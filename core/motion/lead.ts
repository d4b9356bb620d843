import type { Move } from "../navigate/event.js";
import { endOf, type Mover, pathsFrom } from "./mover.js";
import { begin, type Moving } from "./moving.js";
import { layerId, type MoverId } from "./layers.js";
import type { Path } from "./path.js";
import type { Shot } from "./shot.js";

/** A move that a finger leads: what is on screen, and what of it stands where the finger is. */
export interface LedMove {
  moving: Moving;
  /** How long the move takes by itself, ms. */
  ms: number;
  /** How far the finger goes from its beginning to its end, px of the view. */
  length: number;
}

/** A property that goes evenly with the share, as a finger does. */
const evenly = ({ from, to }: Path, ms: number): Path => ({
  from,
  to,
  end: ms,
  at: (at) => from + (to - from) * Math.min(1, Math.max(0, at / ms)),
  speed: () => ((to - from) * 1000) / ms,
});

/** A move that is begun by a finger: of the layer that leaves, `along` stands where the finger is, all else at that share of the time. */
export const lead = (before: Moving, after: Shot, move: Move, along: "x" | "y", time: number): LedMove => {
  const moving = begin(before, after, { by: "moves", moves: [move] }, time);
  const own = [...moving.movers.values()].filter(({ start }) => start === time);
  const ms = Math.max(1, ...own.map(({ end }) => end - time));
  const leading = move.leaving ? layerId(move.leaving.key) : "";
  let length = 0;
  const led = (mover: Mover): Mover => {
    const path = mover.id === leading ? mover.paths[along] : undefined;
    const at = { ...mover, led: { at: 0, pace: 0 } };
    if (!path) return at;
    const size = along === "x" ? mover.box.width : mover.box.height;
    length = (Math.abs(path.to - path.from) / 100) * size;
    return { ...at, paths: { ...mover.paths, [along]: evenly(path, ms) } };
  };
  const movers = new Map([...moving.movers].map(([id, mover]) => [id, own.includes(mover) ? led(mover) : mover]));
  const { width, height } = after.view;
  return { moving: { ...moving, movers }, ms, length: length || (along === "x" ? width : height) };
};

/** The move at a share of the finger's way, which goes at so many of its ways a second. */
export const ledTo = ({ moving, ms }: LedMove, share: number, speed: number): Moving => {
  const led = { at: Math.min(1, Math.max(0, share)) * ms, pace: speed * (ms / 1000) };
  const movers = [...moving.movers].map(([id, mover]): [MoverId, Mover] => [id, mover.led ? { ...mover, led } : mover]);
  return { ...moving, movers: new Map(movers) };
};

/** Whether a move that a finger let go goes on to its end: by how far it is, and how fast it went, in its ways a second. */
export const goesOn = (share: number, speed: number): boolean => share + 0.15 * speed > 0.5;

/** A move that was let go goes on to its end by itself, from where it is and with the finger's speed. */
export const letGo = (moving: Moving, time: number): Moving => {
  const free = (mover: Mover): Mover => {
    if (!mover.led) return mover;
    const { led: _, ...rest } = mover;
    const ms = mover.end - mover.start;
    const paths = pathsFrom(mover.tracks, mover, time, ms);
    return { ...rest, paths, start: time, end: time + Math.max(endOf(paths), mover.tracks.length ? 0 : ms) };
  };
  const movers = [...moving.movers].map(([id, mover]): [MoverId, Mover] => [id, free(mover)]);
  return { ...moving, movers: new Map(movers) };
};

/** The move that takes back another one. */
export const takenBack = (move: Move): Move => ({
  ...move,
  kind: takesBack[move.kind],
  leaving: move.entering,
  entering: move.leaving,
  toward: move.toward === "back" ? "forward" : "back",
});
const takesBack = {
  push: "pop",
  pop: "push",
  open: "close",
  close: "open",
  replace: "replace",
  switch: "switch",
} as const;
