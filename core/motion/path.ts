import type { Ease, Track } from "../frame/parts.js";
import { bezierCurve, type Curve } from "./bezier.js";
import { settleTime, springMotion, springOvershoot } from "./spring.js";

/** What a track can move, in one order. */
export const trackProperties: readonly TrackProperty[] = ["x", "y", "scale", "opacity", "turn"];

/** What a track moves. */
export type TrackProperty = Track["property"];

/** How a property of a layer goes, from the beginning of the move on: in the property's own unit, over ms. */
export interface Path {
  from: number;
  to: number;
  /** It stands at `to` from then on, ms. */
  end: number;
  at(ms: number): number;
  /** In its own unit a second. */
  speed(ms: number): number;
}

/** How a share of the way is gone over the time of a track, its delay left aside. */
interface Course {
  ms: number;
  /** The share at a time, ms. */
  at(ms: number): number;
  /** Shares a second. */
  speed(ms: number): number;
}

const stepCurve = (steps: number): Curve => ({
  // CSS Easing Functions Level 1 (W3C), 2.3: each step is taken at the end of its share of the time
  at: (share) => Math.min(1, Math.max(0, Math.floor(share * steps + 1e-9) / steps)),
  speed: () => 0,
});
const evenCurve: Curve = {
  at: (share) => Math.min(1, Math.max(0, share)),
  speed: (share) => (share >= 0 && share <= 1 ? 1 : 0),
};

const curves = new WeakMap<object, Curve>();
/** The curve of an ease that has a time of its own; kept, as its table is worked out once. */
const curveOf = (ease: Exclude<Ease, { spring: unknown }>): Curve => {
  if (ease === "linear") return evenCurve;
  let curve = curves.get(ease);
  if (!curve) curves.set(ease, (curve = "bezier" in ease ? bezierCurve(ease.bezier) : stepCurve(ease.steps)));
  return curve;
};

const isSpring = (ease: Ease): ease is Extract<Ease, { spring: unknown }> => ease !== "linear" && "spring" in ease;

/** The longest that anything is moved for: a spring that swings on for longer is cut there, ms. */
const mostMs = 20_000;

const courses = new WeakMap<object, Course>();
const springCourse = (ease: Extract<Ease, { spring: unknown }>): Course => {
  let course = courses.get(ease);
  if (!course) {
    const motion = springMotion(ease.spring, -1, ease.spring.velocity ?? 0);
    const ms = Math.min(mostMs, settleTime(ease.spring) * 1000);
    course = {
      ms,
      at: (t) => (t >= ms ? 1 : 1 + motion(Math.max(0, t) / 1000).off),
      speed: (t) => (t < 0 || t > ms ? 0 : motion(t / 1000).speed),
    };
    courses.set(ease, course);
  }
  return course;
};

/** How a track's ease goes over its own time; a spring takes until it has settled. */
const courseOf = ({ ease, ms = 0 }: Pick<Track, "ease" | "ms">): Course => {
  if (isSpring(ease)) return springCourse(ease);
  const curve = curveOf(ease);
  return {
    ms,
    at: (t) => (t >= ms ? 1 : curve.at(t / ms)),
    speed: (t) => (t < 0 || t > ms || ms === 0 ? 0 : (curve.speed(t / ms) * 1000) / ms),
  };
};

/** How long a track takes, its delay left aside, ms: of a spring until it has settled. */
export const trackMs = (track: Pick<Track, "ease" | "ms">): number => courseOf(track).ms;

/** The share of its way that an ease has gone at a time, ms. */
export const shareAt = (track: Pick<Track, "ease" | "ms" | "delay">, ms: number): number => {
  const t = ms - (track.delay ?? 0);
  return t <= 0 ? 0 : courseOf(track).at(t);
};

/** How a track goes. Before its delay it stands at `from`, after its end at `to`. */
export const trackPath = (track: Track): Path => {
  const { from, to, delay = 0 } = track;
  const course = courseOf(track);
  const way = to - from;
  const end = delay + course.ms;
  return {
    from,
    to,
    end,
    at: (ms) => (ms >= end ? to : ms <= delay ? from : from + way * course.at(ms - delay)),
    speed: (ms) => (ms < delay ? 0 : way * course.speed(ms - delay)),
  };
};

/** Where something is, and how fast it goes: in its own unit, and that a second. */
export interface Now {
  value: number;
  speed: number;
}

/** A speed that is brought along is used up within so long, ms. */
const carriedFor = 110;

/**
 * How a track goes that takes over from where things are: from there to its own end, without a jump in place or speed. A spring
 * starts with the speed that is brought along; another ease has it added, fading by the cubic of Hermite that begins with
 * that slope and ends level at nothing (C. de Boor, A Practical Guide to Splines, IV).
 */
export const pathFrom = (track: Track, now: Now): Path => {
  const { to, ease, delay = 0 } = track;
  if (isSpring(ease) && delay === 0) return springFrom(ease.spring, now, to);
  const plain = trackPath({ ...track, from: now.value });
  const extra = now.speed - plain.speed(0);
  const length = Math.min(carriedFor, plain.end);
  if (Math.abs(extra) < 1e-9) return plain;
  if (length <= 0) return plain;
  const part = (ms: number): number => Math.min(1, Math.max(0, ms / length));
  return {
    ...plain,
    at: (ms) => plain.at(ms) + ((extra * length) / 1000) * part(ms) * (1 - part(ms)) ** 2,
    speed: (ms) => plain.speed(ms) + (ms < length ? extra * (1 - part(ms)) * (1 - 3 * part(ms)) : 0),
  };
};

/** A spring's speed below which the one thing that is brought along counts: what is small at the scale of 100 %. */
const springFrom = (spring: Parameters<typeof springMotion>[0], now: Now, to: number): Path => {
  const off = now.value - to;
  const motion = springMotion(spring, off, now.speed);
  // it has settled where it is as near as it would be at the end of a travel of 1, or of its own
  const size = Math.max(Math.abs(off), Math.abs(now.speed) / 10, 1e-6);
  const end = Math.min(mostMs, settleTime(spring, off, now.speed, size / 1000) * 1000);
  return {
    from: now.value,
    to,
    end,
    at: (ms) => (ms >= end ? to : to + motion(Math.max(0, ms) / 1000).off),
    speed: (ms) => (ms > end ? 0 : motion(Math.max(0, ms) / 1000).speed),
  };
};

/** How something that no track moves any more goes to its rest: evenly slower, within so many ms. */
export const pathHome = (now: Now, rest: number, ms: number): Path =>
  pathFrom({ property: "x", from: now.value, to: rest, ms, ease: homeEase }, now);
const homeEase: Ease = { bezier: [0.2, 0.6, 0.3, 1] };

/** How far beyond its end a track goes at most, as a share of its travel. */
export const overshootOf = ({ ease }: Pick<Track, "ease">): number => {
  if (ease === "linear" || "steps" in ease) return 0;
  if ("spring" in ease) return springOvershoot(ease.spring);
  const [, y1, , y2] = ease.bezier;
  // where the curve's y is level: 3 (a u² + b u + c) = 0
  const [a, b, c] = [1 + 3 * (y1 - y2), 2 * (y2 - 2 * y1), y1];
  const y = (u: number): number => ((1 - 3 * y2 + 3 * y1) * u + (3 * y2 - 6 * y1)) * u * u + 3 * y1 * u;
  const root = Math.sqrt(Math.max(0, b * b - 4 * a * c));
  const level = Math.abs(a) < 1e-12 ? [-c / b] : [(-b + root) / (2 * a), (-b - root) / (2 * a)];
  return Math.max(0, ...level.filter((u) => u > 0 && u < 1).map((u) => y(u) - 1));
};

/** The highest of a function over a span, and where it first is that high: looked for at so many places, then closer around the best. */
export const highest = (f: (t: number) => number, places: readonly number[]): { value: number; at: number } => {
  let best = { value: -Infinity, at: 0 };
  let around = 0;
  places.forEach((t, i) => {
    const value = f(t);
    if (value > best.value + 1e-12) [best, around] = [{ value, at: t }, i];
  });
  let [low, high] = [places[around - 1] ?? best.at, places[around + 1] ?? best.at];
  const golden = (Math.sqrt(5) - 1) / 2;
  for (let i = 0; i < 40 && high - low > 1e-9; i += 1) {
    const [a, b] = [high - golden * (high - low), low + golden * (high - low)];
    if (f(a) >= f(b)) high = b;
    else low = a;
  }
  const t = (low + high) / 2;
  const value = f(t);
  return value > best.value + 1e-9 ? { value, at: t } : best;
};

/** Evenly spread moments from 0 to an end. */
export const spread = (end: number, count: number): number[] =>
  Array.from({ length: count + 1 }, (_, i) => (end * i) / count);

/** The highest speed of a track, in travels a second, and when, ms from the beginning of the move; steps have none. */
export const peakSpeedOf = (track: Track): { value: number; at: number } => {
  const course = courseOf(track);
  const { delay = 0, ease } = track;
  if (ease !== "linear" && "steps" in ease) return { value: 0, at: delay };
  if (course.ms <= 0) return { value: 0, at: delay };
  // a spring is fastest in its first swing
  const swing = isSpring(ease) ? 2000 * Math.PI * Math.sqrt(ease.spring.mass / ease.spring.stiffness) : course.ms;
  const { value, at } = highest((t) => Math.abs(course.speed(t)), spread(Math.min(course.ms, swing), 128));
  return { value, at: at + delay };
};
