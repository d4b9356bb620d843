import {
  type AppMove,
  type CascadeStep,
  type Ease,
  type Frame,
  type Id,
  measure,
  motionAt,
  motionChoices,
  type MotionKind,
  plainName,
  type Track,
} from "../../../core/index.js";

/** A motion by the name a person gave it. */
export const motionName = (frame: Frame, id: Id): string => motionAt(frame, id)?.name ?? id;

/** What a kind of moves is called. */
export const kindName = (kind: MotionKind): string => motionChoices[kind].label;

/** A move in a few words: what comes, and in what. */
export const moveName = (frame: Frame, { node, container, way }: AppMove): string =>
  `${plainName(frame, node)} ${way ? `by ${way.label}` : `in ${plainName(frame, container)}`}`;

/** Whose a level of the cascade is: its name, and what it is. */
export const levelWords = (frame: Frame, { level, node }: CascadeStep, move: AppMove): readonly [string, string] => {
  switch (level) {
    case "calm":
      return ["reduced motion", "above all"];
    case "way":
      return move.way ? [move.way.label, `on ${plainName(frame, move.way.from)}`] : ["any way in", "none by itself"];
    case "screen":
      return [plainName(frame, node ?? ""), "what comes"];
    case "container":
      return [plainName(frame, node ?? ""), "what it comes in"];
    case "app":
      return [frame.name, "the whole app"];
    case "builtIn":
      return ["built in", kindName(move.kind)];
  }
};

/** How often each kind of moves has a motion, in a few words. */
export const usesWords = (moves: readonly AppMove[]): string => {
  const count = new Map<MotionKind, number>();
  for (const { kind } of moves) count.set(kind, (count.get(kind) ?? 0) + 1);
  return [...count].map(([kind, n]) => (n === 1 ? kindName(kind) : `${kindName(kind)} ×${n}`)).join(", ") || "not used";
};

/** The length of a motion as it is said. */
export const lengthOf = (frame: Frame, id: Id): number => {
  const motion = motionAt(frame, id);
  return motion ? Math.round(measure(motion).ms) : 0;
};

/** What a track moves, with the unit of its values. */
export const trackProperties: Readonly<Record<Track["property"], TrackWords>> = {
  x: { label: "across", unit: "%", step: 1, rest: 0, least: -400, most: 400 },
  y: { label: "down", unit: "%", step: 1, rest: 0, least: -400, most: 400 },
  scale: { label: "size", unit: "×", step: 0.01, rest: 1, least: 0, most: 10 },
  opacity: { label: "opacity", unit: "", step: 0.01, rest: 1, least: 0, most: 1 },
  turn: { label: "turn", unit: "°", step: 1, rest: 0, least: -360, most: 360 },
};
interface TrackWords {
  label: string;
  unit: string;
  /** What an arrow changes a value by. */
  step: number;
  /** Where nothing is moved. */
  rest: number;
  least: number;
  most: number;
}

/** The kinds of eases, the plain one first. */
/** The kinds of eases. */
export const easeKinds = ["linear", "bezier", "spring", "steps"] as const;
export type EaseKind = (typeof easeKinds)[number];

export const easeKindOf = (ease: Ease): EaseKind =>
  ease === "linear" ? "linear" : "bezier" in ease ? "bezier" : "spring" in ease ? "spring" : "steps";

/** Curves of our own to begin with, by plain names. */
export const namedCurves: readonly { id: string; label: string; bezier: readonly [number, number, number, number] }[] =
  [
    { id: "arriving", label: "arriving", bezier: [0.24, 0.72, 0.3, 1] },
    { id: "leaving", label: "leaving", bezier: [0.62, 0, 0.86, 0.36] },
    { id: "both", label: "slow at both ends", bezier: [0.58, 0.06, 0.3, 0.96] },
    { id: "past", label: "a little past", bezier: [0.3, 0.9, 0.36, 1.24] },
  ];

/** What an ease is called: a named curve by its name. */
export const easeName = (ease: Ease): string => {
  if (ease === "linear") return "even";
  if ("spring" in ease) return "spring";
  if ("steps" in ease) return `${ease.steps} steps`;
  const found = namedCurves.find(({ bezier }) => bezier.every((value, i) => value === ease.bezier[i]));
  return found?.label ?? "curve";
};
