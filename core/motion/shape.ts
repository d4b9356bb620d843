import type { Motion, MotionShape, Track } from "../frame/parts.js";

/** The way of a move: on, or back. */
export type Toward = "forward" | "back";
/** The two layers of a move. */
export type LayerName = "incoming" | "outgoing";

const turned = (track: Track): Track => ({ ...track, from: track.to, to: track.from });

/**
 * The same motion the other way round: what came in goes out and the other way round, each from its end to its beginning, with
 * the same delays and eases; the other layer lies above. The mirror of a mirror is the motion.
 */
export const mirror = ({ incoming, outgoing, above }: MotionShape): MotionShape => ({
  incoming: outgoing.map(turned),
  outgoing: incoming.map(turned),
  above: above === "incoming" ? "outgoing" : "incoming",
});

const mirrors = new WeakMap<MotionShape, MotionShape>();
const mirrorOf = (shape: MotionShape): MotionShape => {
  let made = mirrors.get(shape);
  if (!made) mirrors.set(shape, (made = mirror(shape)));
  return made;
};

/** The tracks of a motion on one of its ways; the same object each time. */
export const shapeOf = ({ forward, back }: Motion, toward: Toward): MotionShape =>
  toward === "forward" ? forward : back === "mirror" ? mirrorOf(forward) : back;
