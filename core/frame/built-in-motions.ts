import type { Ease, Id, Motion, MotionKind, Track } from "./parts.js";

// The motions that are there without standing in a file. Their figures are our own: chosen by eye on a phone and on a tablet, short
// enough not to be waited for, none with the background showing through.

const quick: Ease = { bezier: [0.24, 0.72, 0.3, 1] };
/** Fast away, long in coming to rest; it does not swing, so that no gap opens at the edge it comes from. */
const firm: Ease = { spring: { mass: 1, stiffness: 760, damping: 55.2 } };
const heavy: Ease = { spring: { mass: 1, stiffness: 610, damping: 49.4 } };
/** Barely beyond its end, which is felt and not seen. */
const lively: Ease = { spring: { mass: 1, stiffness: 900, damping: 48 } };

const comes = (property: "x" | "y", from: number, ease: Ease): Track => ({ property, from, to: 0, ease });
const appears = (ms: number, from = 0): Track => ({ property: "opacity", from, to: 1, ms, ease: "linear" });

const over = (name: string, incoming: Track[], outgoing: Track[] = [], scrim?: number): Motion => ({
  name,
  forward: { incoming, outgoing, above: "incoming" },
  back: "mirror",
  ...(scrim !== undefined && { scrim }),
});

/** How dark a scrim is where a motion does not say. */
export const plainScrim = 0.42;

/** Motions that may be named in every frame; one of the frame's own with the same id takes its place. */
export const builtInMotions: Readonly<Record<Id, Motion>> = {
  slip: over("Slip", [comes("x", 100, firm)], [{ property: "x", from: 0, to: -22, ease: firm }]),
  rise: over("Rise", [comes("y", 100, heavy)], [], plainScrim),
  lift: over("Lift", [{ property: "y", from: 18, to: 0, ms: 270, ease: quick }, appears(130)]),
  bloom: over("Bloom", [{ property: "scale", from: 0.88, to: 1, ease: lively }, appears(110)], [], plainScrim),
  fromStart: over("From the start", [comes("x", -100, firm)], [], plainScrim),
  fromEnd: over("From the end", [comes("x", 100, firm)], [], plainScrim),
  trade: over("Trade", [appears(130)]),
  settle: over("Settle", [{ property: "y", from: 3, to: 0, ms: 190, ease: quick }, appears(150)]),
  blink: over("Blink", [appears(70)]),
  sideBySide: over("Side by side", [comes("x", 100, heavy)], [{ property: "x", from: 0, to: -100, ease: heavy }]),
  dissolve: over("Dissolve", [appears(210)], [{ property: "opacity", from: 1, to: 0, ms: 210, ease: "linear" }]),
  near: over(
    "Nearer",
    [{ property: "scale", from: 0.82, to: 1, ms: 260, ease: quick }, appears(140)],
    [{ property: "scale", from: 1, to: 1.12, ms: 260, ease: quick }],
  ),
  leaf: over("Leaf", [{ property: "turn", from: 84, to: 0, ms: 380, ease: quick }, appears(90)]),
  drop: over("Drop", [comes("y", -100, heavy)]),
  still: over("Still", []),
};

/** The motion of each kind of move where nobody says one; a side panel comes from the edge it stands at. */
const builtInOf: Readonly<Record<MotionKind, Id>> = {
  push: "slip",
  sheet: "rise",
  fullscreen: "lift",
  dialog: "bloom",
  side: "fromStart",
  switch: "trade",
  replace: "settle",
};

/** The id of the built-in motion of a kind of move. */
export const builtInMotion = (kind: MotionKind, edge: "start" | "end" = "start"): Id =>
  kind === "side" && edge === "end" ? "fromEnd" : builtInOf[kind];

/** The reduced motion where the frame says none. */
export const builtInCalm: Id = "blink";

/** What has motions: a frame. */
interface HasMotions {
  motions?: Readonly<Record<Id, Motion>>;
}

/** The motion of an id: the frame's own, else the built-in one; undefined for an id that is neither. */
export const motionAt = ({ motions }: HasMotions, id: Id): Motion | undefined => {
  if (motions && Object.hasOwn(motions, id)) return motions[id];
  return Object.hasOwn(builtInMotions, id) ? builtInMotions[id] : undefined;
};

/** The ids of all motions that can be named in a frame: its own, then the built-in ones that it does not replace. */
export const motionIds = ({ motions = {} }: HasMotions): Id[] => [
  ...new Set([...Object.keys(motions), ...Object.keys(builtInMotions)]),
];
