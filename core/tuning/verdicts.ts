import type { Motion, MotionKind } from "../frame/parts.js";
import { type Measure, measure } from "../motion/measure.js";
import { shapeOf, type Toward } from "../motion/shape.js";

/** What a measured number of a motion means to who sees it. */
export interface Verdict {
  of: "ms" | "settle" | "speed" | "bare";
  isGood: boolean;
  /** The number with its unit. */
  value: string;
  /** What it means, in a plain sentence. */
  says: string;
  /** A change that makes it good, where one does. */
  mend?: { says: string; motion: Motion };
}

const percent = (share: number): string =>
  `${share < 0.0995 ? Math.round(share * 1000) / 10 : Math.round(share * 100)} %`;

/** Shorter is not seen, longer is waited for, ms. */
const seen = 60;
const waited = 450;
/** So far beyond its end is not seen; farther it swings. A share of the travel. */
const unseen = 0.02;
const swings = 0.12;
/** A gap as wide as this share opens at the edge that something comes from. */
const gap = 0.004;
/** Faster than so many travels a second is no more followed by the eye. */
const followed = 18;
/** So much of the background is not seen. */
const bareUnseen = 0.02;

const lengthVerdict = ({ ms }: Measure): Verdict => {
  const value = `${Math.round(ms)} ms`;
  if (ms === 0) return { of: "ms", isGood: true, value, says: "there at once: nothing moves" };
  if (ms < seen) return { of: "ms", isGood: false, value, says: "too short to be seen as a movement" };
  if (ms > waited) return { of: "ms", isGood: false, value, says: "long enough to be waited for" };
  return { of: "ms", isGood: true, value, says: "long enough to be seen, short enough not to wait for" };
};

const edges = new Set<MotionKind>(["sheet", "side"]);

const settleVerdict = ({ settle, overshoot }: Measure, kind: MotionKind): Verdict => {
  const value = `settles ${Math.round(settle)} ms`;
  const by = percent(overshoot);
  if (edges.has(kind) && overshoot > gap)
    return { of: "settle", isGood: false, value, says: `goes ${by} beyond its place: a gap opens at its edge` };
  if (overshoot > swings) return { of: "settle", isGood: false, value, says: `swings ${by} beyond its place` };
  if (overshoot > unseen)
    return { of: "settle", isGood: true, value, says: `goes ${by} beyond its place: felt as lively` };
  return {
    of: "settle",
    isGood: true,
    value,
    says: overshoot > 0.0005 ? `goes ${by} beyond its place: not seen` : "comes to rest without going too far",
  };
};

const speedVerdict = ({ peakSpeed }: Measure): Verdict => {
  const value = `${Math.round(peakSpeed * 10) / 10} travels a second`;
  return peakSpeed > followed
    ? { of: "speed", isGood: false, value, says: "faster than the eye follows: it jumps" }
    : { of: "speed", isGood: true, value, says: "at its fastest, and the eye can follow" };
};

/** Changes of a motion that may keep the background covered, the smallest first. */
const covering = (motion: Motion, toward: Toward): { says: string; motion: Motion }[] => {
  const shape = shapeOf(motion, toward);
  const put = (next: typeof shape): Motion =>
    toward === "forward" ? { ...motion, forward: next } : { ...motion, back: next };
  const early = shape.incoming.map(({ delay: _, ...track }) => track);
  const opaque = shape.outgoing.filter(({ property }) => property !== "opacity");
  const whole = shape.incoming.filter(({ property }) => property !== "opacity");
  return [
    { says: "start the incoming earlier", motion: put({ ...shape, incoming: early }) },
    { says: "keep the outgoing opaque", motion: put({ ...shape, outgoing: opaque }) },
    { says: "keep the incoming opaque", motion: put({ ...shape, incoming: whole }) },
    {
      says: "start the incoming earlier and keep the outgoing opaque",
      motion: put({ ...shape, incoming: early, outgoing: opaque }),
    },
    { says: "keep what goes where it is", motion: put({ ...shape, incoming: early, outgoing: [] }) },
  ];
};

const bareVerdict = ({ bare }: Measure, motion: Motion, toward: Toward): Verdict => {
  if (bare.share <= bareUnseen)
    return {
      of: "bare",
      isGood: true,
      value: bare.share < 0.0005 ? "nothing bare" : `bare ${percent(bare.share)}`,
      says: "the background stays covered",
    };
  const mend = covering(motion, toward).find((each) => measure(each.motion, toward).bare.share <= bareUnseen);
  return {
    of: "bare",
    isGood: false,
    value: `bare ${percent(bare.share)} at ${Math.round(bare.at)} ms`,
    says: `the background shows through${mend ? `: ${mend.says}` : ""}`,
    ...(mend && { mend }),
  };
};

const judged = (motion: Motion, toward: Toward, kind: MotionKind): Verdict[] => {
  const measured = measure(motion, toward);
  return [
    lengthVerdict(measured),
    settleVerdict(measured, kind),
    speedVerdict(measured),
    bareVerdict(measured, motion, toward),
  ];
};

/** Measuring takes milliseconds, and a motion stays the same object through all edits of other things. */
const known = new WeakMap<Motion, Map<string, Verdict[]>>();

/** What the numbers of a motion mean, each in a plain sentence; where something is wrong with a change that mends it, if one does. */
export const verdictsOf = (motion: Motion, toward: Toward, kind: MotionKind): readonly Verdict[] => {
  let kept = known.get(motion);
  if (!kept) known.set(motion, (kept = new Map()));
  const key = `${toward} ${kind}`;
  const found = kept.get(key) ?? judged(motion, toward, kind);
  kept.set(key, found);
  return found;
};
