import type { Motion, MotionKind, MotionShape, Track } from "../frame/parts.js";
import { type LayerName, mirror, shapeOf } from "../motion/shape.js";

/** Directions of a motion that contradict each other, and the motion without that. */
export interface Contradiction {
  says: string;
  mend: string;
  mended: Motion;
}

type Axis = "x" | "y";
const far: Readonly<Record<Axis, readonly [string, string]>> = { x: ["the start", "the end"], y: ["above", "below"] };
const sideIn = (axis: Axis, value: number): string => far[axis][value < 0 ? 0 : 1];

const trackOf = (shape: MotionShape, layer: LayerName, axis: Axis): Track | undefined =>
  shape[layer].find(({ property }) => property === axis);
/** Where a layer comes from, or goes to: what is far from its place counts alone. */
const comesFrom = (shape: MotionShape, axis: Axis): number => trackOf(shape, "incoming", axis)?.from ?? 0;
const goesTo = (shape: MotionShape, axis: Axis): number => trackOf(shape, "outgoing", axis)?.to ?? 0;
const isFar = (value: number): boolean => Math.abs(value) >= 10;

const withTrack = (shape: MotionShape, layer: LayerName, axis: Axis, change: Partial<Track>): MotionShape => ({
  ...shape,
  [layer]: shape[layer].map((track) => (track.property === axis ? { ...track, ...change } : track)),
});

/** One layer comes from where the other goes to: they run through each other. */
const through = (motion: Motion, way: "forward" | "back"): Contradiction[] => {
  if (way === "back" && motion.back === "mirror") return [];
  const shape = shapeOf(motion, way);
  return (["x", "y"] as const).flatMap((axis) => {
    const [from, to] = [comesFrom(shape, axis), goesTo(shape, axis)];
    if (!isFar(from) || !isFar(to) || Math.sign(from) !== Math.sign(to)) return [];
    const side = sideIn(axis, from);
    const mended = { ...motion, [way]: withTrack(shape, "outgoing", axis, { to: -to }) };
    return [
      {
        says: `${way === "back" ? "On the way back, what" : "What"} comes in from ${side} meets what goes out to ${side}.`,
        mend: `Let it go out to ${sideIn(axis, -to)}`,
        mended,
      },
    ];
  });
};

/** The way back is another than the way there. */
const otherWay = (motion: Motion): Contradiction[] => {
  if (motion.back === "mirror") return [];
  const { forward, back } = motion;
  return (["x", "y"] as const).flatMap((axis) => {
    const [from, to] = [comesFrom(forward, axis), goesTo(back, axis)];
    if (!isFar(from) || !isFar(to) || Math.sign(from) === Math.sign(to)) return [];
    return [
      {
        says: `It comes from ${sideIn(axis, from)} and goes back to ${sideIn(axis, to)}.`,
        mend: "Go back by the mirror",
        mended: { ...motion, back: "mirror" as const },
      },
    ];
  });
};

/** A side panel comes from another edge than it stands at. */
const otherEdge = (motion: Motion, kind: MotionKind, edge: "start" | "end"): Contradiction[] => {
  const { forward } = motion;
  const from = comesFrom(forward, "x");
  if (kind !== "side" || !isFar(from) || from < 0 === (edge === "start")) return [];
  const mended = { ...motion, forward: withTrack(forward, "incoming", "x", { from: -from }) };
  return [
    {
      says: `It stands at ${edge === "start" ? "the start" : "the end"} and comes from ${sideIn("x", from)}.`,
      mend: `Let it come from ${sideIn("x", -from)}`,
      mended,
    },
  ];
};

/** What of a motion's directions contradicts itself, or the edge that a side panel stands at. */
export const contradictionsOf = (
  motion: Motion,
  kind: MotionKind,
  edge: "start" | "end" = "start",
): Contradiction[] => [
  ...through(motion, "forward"),
  ...through(motion, "back"),
  ...otherWay(motion),
  ...otherEdge(motion, kind, edge),
];

/** A motion whose way back is written out, so that it can be changed alone. */
export const writtenOut = (motion: Motion): Motion =>
  motion.back === "mirror" ? { ...motion, back: mirror(motion.forward) } : motion;
