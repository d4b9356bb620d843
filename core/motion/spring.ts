/** A mass on a spring: kilograms, newtons a metre, newton seconds a metre; `velocity` in travels a second, toward the end. */
export interface Spring {
  mass: number;
  stiffness: number;
  damping: number;
  velocity?: number;
}

/** How far a spring still is from its rest, and how fast it goes, a second. */
export interface SpringPoint {
  off: number;
  speed: number;
}

/** The motion of a spring that was let go `off` its rest with a `speed`: what it is after so many seconds. */
export type SpringMotion = (seconds: number) => SpringPoint;

/** A spring counts as settled while it is no farther from its rest than this share of the travel. */
const settledWithin = 0.001;

/** Undamped angular frequency in radians a second, and the damping ratio: 1 where it just does not swing. */
const characterOf = ({ mass, stiffness, damping }: Spring): { frequency: number; ratio: number } => ({
  frequency: Math.sqrt(stiffness / mass),
  ratio: damping / (2 * Math.sqrt(stiffness * mass)),
});

/** How near the critical damping counts as critical: nearer, the two rates of the other forms cannot be told apart. */
const critical = 1e-6;

/**
 * The damped harmonic oscillator m x″ + c x′ + k x = 0 in closed form (H. Goldstein, Classical Mechanics, 3rd ed., 6.5): it
 * swings under a damping ratio of 1, creeps above, and is the limit of both at 1.
 */
export const springMotion = (spring: Spring, off: number, speed: number): SpringMotion => {
  const { frequency, ratio } = characterOf(spring);
  if (Math.abs(ratio - 1) < critical) {
    const slope = speed + frequency * off;
    return (t) => {
      const fade = Math.exp(-frequency * t);
      return { off: (off + slope * t) * fade, speed: (slope - frequency * (off + slope * t)) * fade };
    };
  }
  if (ratio < 1) {
    const decay = ratio * frequency;
    const swing = frequency * Math.sqrt(1 - ratio * ratio);
    const side = (speed + decay * off) / swing;
    return (t) => {
      const fade = Math.exp(-decay * t);
      const [cos, sin] = [Math.cos(swing * t), Math.sin(swing * t)];
      return {
        off: fade * (off * cos + side * sin),
        speed: fade * ((side * swing - decay * off) * cos - (off * swing + decay * side) * sin),
      };
    };
  }
  // the slower rate is had from the product of both, as their difference would lose its digits
  const fast = -frequency * (ratio + Math.sqrt(ratio * ratio - 1));
  const slow = (frequency * frequency) / fast;
  const ofFast = (speed - slow * off) / (fast - slow);
  const ofSlow = off - ofFast;
  return (t) => {
    const [a, b] = [ofFast * Math.exp(fast * t), ofSlow * Math.exp(slow * t)];
    return { off: a + b, speed: fast * a + slow * b };
  };
};

/** The last moment within a span at which something is so far off: at its start it is, at its end it is not. */
const lastWithin = (isOff: (t: number) => boolean, from: number, to: number): number => {
  let [low, high] = [from, to];
  for (let i = 0; i < 200 && high - low > 1e-12 * Math.max(1, high); i += 1) {
    const t = (low + high) / 2;
    if (isOff(t)) low = t;
    else high = t;
  }
  return high;
};

/** The moment at which a spring that swings turns first, and the time between its turns, in seconds. */
const turnsOf = (spring: Spring, off: number, speed: number): { first: number; apart: number } => {
  const { frequency, ratio } = characterOf(spring);
  const swing = frequency * Math.sqrt(1 - ratio * ratio);
  const decay = ratio * frequency;
  const side = (speed + decay * off) / swing;
  // speed is zero where tan(swing t) is this
  const angle = Math.atan2(side * swing - decay * off, off * swing + decay * side);
  const apart = Math.PI / swing;
  const first = angle / swing;
  return { first: first > 1e-12 ? first : first + apart * Math.ceil((1e-12 - first) / apart), apart };
};

/** The latest that a spring can still be so far off, in seconds: by what bounds it. */
const boundOf = (spring: Spring, off: number, speed: number, within: number): number => {
  const at = springMotion(spring, off, speed);
  const { frequency, ratio } = characterOf(spring);
  const rate =
    ratio < 1 ? ratio * frequency : (frequency * frequency) / (frequency * (ratio + Math.sqrt(ratio * ratio - 1)));
  const size = Math.abs(off) + Math.abs(speed) / frequency + within;
  let bound = Math.log((size * 4) / within) / rate;
  // an envelope holds for the swinging one alone; near the critical one it is looked for
  while (ratio >= 0.99 && Math.abs(at(bound).off) > within / 4) bound *= 1.5;
  return bound;
};

/**
 * The earliest time, in seconds, after which a spring stays within so much of its rest. Infinite for one that is not damped.
 */
export const settleTime = (spring: Spring, off = -1, speed = spring.velocity ?? 0, within = settledWithin): number => {
  if (spring.damping <= 0) return Math.abs(off) > within || speed !== 0 ? Infinity : 0;
  const at = springMotion(spring, off, speed);
  const isOff = (t: number): boolean => Math.abs(at(t).off) > within;
  const bound = boundOf(spring, off, speed, within);
  if (characterOf(spring).ratio < 1 - critical) {
    const { first, apart } = turnsOf(spring, off, speed);
    let turn = first + apart * Math.max(0, Math.ceil((bound - first) / apart));
    while (turn > 0 && !isOff(turn)) turn -= apart;
    const from = Math.max(0, turn);
    if (!isOff(from)) return 0;
    return lastWithin(isOff, from, from + apart);
  }
  // one that does not swing turns once at most: what is looked for lies behind that
  const turn = turnOnce(at, bound);
  if (isOff(turn)) return lastWithin(isOff, turn, bound);
  return isOff(0) ? lastWithin(isOff, 0, turn) : 0;
};

/** Where a spring that does not swing turns; 0 where it never does. */
const turnOnce = (at: SpringMotion, bound: number): number => {
  const way = Math.sign(at(0).speed);
  if (way === 0 || Math.sign(at(bound).speed) === way) return 0;
  return lastWithin((t) => Math.sign(at(t).speed) === way, 0, bound);
};

/** How far a spring goes beyond its rest, as a share of the travel from 0 to 1; 0 where it does not. */
export const springOvershoot = (spring: Spring): number => {
  const speed = spring.velocity ?? 0;
  const at = springMotion(spring, -1, speed);
  if (characterOf(spring).ratio < 1 - critical) {
    const { first, apart } = turnsOf(spring, -1, speed);
    // a spring thrown back turns on the near side first
    return Math.max(0, at(first).off, at(first + apart).off);
  }
  return spring.damping > 0 ? Math.max(0, at(turnOnce(at, boundOf(spring, -1, speed, settledWithin))).off) : 0;
};

/** What is wanted of a spring: within how many ms it settles, and how far it goes beyond its end, a share of its travel. */
export interface SpringWish {
  settle: number;
  overshoot: number;
}

/**
 * The spring from rest that settles in such a time and goes so far beyond its end. Its damping ratio is had from the
 * overshoot e^(−πζ/√(1−ζ²)) (K. Ogata, Modern Control Engineering, 5th ed., 5-3); its pace from that of one a second long,
 * as a spring that is stiffer moves alike, only faster.
 */
export const springFor = ({ settle, overshoot }: SpringWish, mass = 1): Spring => {
  const log = Math.log(Math.max(overshoot, 0));
  const ratio = overshoot > 0 ? -log / Math.hypot(Math.PI, log) : 1;
  const unit = settleTime({ mass: 1, stiffness: 1, damping: 2 * ratio });
  const frequency = (unit / settle) * 1000;
  return { mass, stiffness: mass * frequency * frequency, damping: 2 * ratio * frequency * mass };
};
