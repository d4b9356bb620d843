import type { Id, Motion, Track } from "../frame/parts.js";
import { plainScrim } from "../frame/built-in-motions.js";
import { trackMs, trackPath } from "../motion/path.js";
import { layerAt, pathsOf } from "../motion/sample.js";
import { type LayerName, shapeOf, type Toward } from "../motion/shape.js";
import { plainNumber, timingOf } from "./timing.js";

/** A motion with the id that it is written under. */
export interface NamedMotion {
  id: Id;
  motion: Motion;
}

const layers: readonly LayerName[] = ["incoming", "outgoing"];
const ways: readonly Toward[] = ["forward", "back"];

/** A name in CSS: small letters, with dashes where an id has a capital. */
const cssName = (id: Id): string => id.replaceAll(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);

/** The properties of CSS that a layer is moved by: `x` and `y` are one of them. */
type CssProperty = "translate" | "scale" | "rotate" | "opacity";
const propertyOf: Readonly<Record<Track["property"], CssProperty>> = {
  x: "translate",
  y: "translate",
  scale: "scale",
  turn: "rotate",
  opacity: "opacity",
};

/** `x` counts toward the end edge: where that is the left one it goes the other way. */
const across = (value: number): string => (value === 0 ? "0%" : `calc(${plainNumber(value)}% * var(--motion-side, 1))`);

const valueOf = (
  property: CssProperty,
  at: { x: number; y: number; scale: number; turn: number; opacity: number },
): string => {
  switch (property) {
    case "translate":
      return `${across(at.x)} ${plainNumber(at.y)}%`;
    case "scale":
      return plainNumber(at.scale);
    case "rotate":
      return `y calc(${plainNumber(at.turn)}deg * var(--motion-side, 1))`;
    case "opacity":
      return plainNumber(at.opacity);
  }
};

/** One animation of a layer: a property of CSS, its steps and its time. */
interface CssAnimation {
  name: string;
  steps: string[];
  ms: number;
  delay: number;
  timing: string;
}

const isAlike = (a: Track, b: Track): boolean =>
  (a.delay ?? 0) === (b.delay ?? 0) && trackMs(a) === trackMs(b) && timingOf(a) === timingOf(b);

/** Two tracks of one property that go differently are written point by point, every so many ms. */
const apart = 8;
const sampled = (name: string, tracks: readonly Track[]): CssAnimation => {
  const ms = Math.max(...tracks.map((track) => trackPath(track).end));
  const count = Math.max(2, Math.ceil(ms / apart));
  const paths = pathsOf(tracks);
  const steps = Array.from({ length: count + 1 }, (_, i) => {
    const at = layerAt(paths, (ms * i) / count);
    return `${plainNumber((100 * i) / count, 3)}% { translate: ${valueOf("translate", at)}; }`;
  });
  return { name, steps, ms, delay: 0, timing: "linear" };
};

const animationOf = (name: string, property: CssProperty, tracks: readonly Track[]): CssAnimation => {
  const [first, second] = tracks;
  if (!first || (second && !isAlike(first, second))) return sampled(name, tracks);
  const rest = { x: 0, y: 0, scale: 1, turn: 0, opacity: 1 };
  const at = (end: "from" | "to") => ({
    ...rest,
    ...Object.fromEntries(tracks.map((each) => [each.property, each[end]])),
  });
  return {
    name,
    steps: [
      `from { ${property}: ${valueOf(property, at("from"))}; }`,
      `to { ${property}: ${valueOf(property, at("to"))}; }`,
    ],
    ms: trackMs(first),
    delay: first.delay ?? 0,
    timing: timingOf(first),
  };
};

/** The animations of one layer on one way. */
const animationsOf = (base: string, tracks: readonly Track[]): CssAnimation[] => {
  const properties = [...new Set(tracks.map(({ property }) => propertyOf[property]))];
  return properties.map((property) =>
    animationOf(
      `${base}-${property}`,
      property,
      tracks.filter((track) => propertyOf[track.property] === property),
    ),
  );
};

/** The times and curves of a motion as custom properties, each written once. */
class Values {
  readonly lines: string[] = [];
  private readonly known = new Map<string, string>();

  constructor(private readonly base: string) {}

  /** The name of a value, as it is read. */
  of(what: "ease" | "time", value: string): string {
    const key = `${what} ${value}`;
    let name = this.known.get(key);
    if (name === undefined) {
      const n = [...this.known.keys()].filter((each) => each.startsWith(what)).length + 1;
      name = `--${this.base}-${what}${n > 1 ? `-${n}` : ""}`;
      this.known.set(key, name);
      this.lines.push(`  ${name}: ${value};`);
    }
    return `var(${name})`;
  }
}

const animationLine = ({ name, ms, delay, timing }: CssAnimation, values: Values): string =>
  `${name} ${values.of("time", `${plainNumber(ms, 2)}ms`)} ${values.of("ease", timing)} ${plainNumber(delay, 2)}ms both`;

const classCss = (name: string, animations: readonly CssAnimation[], isAbove: boolean, values: Values): string => {
  const lines = animations.map((each) => animationLine(each, values));
  return [
    `.${name} {`,
    `  animation: ${lines.length ? lines.join(",\n    ") : "none"};`,
    ...(isAbove ? ["  z-index: 1;"] : []),
    "}",
  ].join("\n");
};

/** The scrim of a motion goes by its first track. */
const scrimCss = (
  base: string,
  tracks: readonly Track[],
  isComing: boolean,
  strength: number,
  values: Values,
): { css: string; frames: string } | null => {
  const [first] = tracks;
  if (!first) return null;
  const track: Track = { ...first, property: "opacity", from: isComing ? 0 : strength, to: isComing ? strength : 0 };
  const [animation] = animationsOf(`${base}-scrim`, [track]);
  return animation
    ? { css: classCss(`${base}-scrim`, [animation], false, values), frames: framesCss(animation) }
    : null;
};

const framesCss = ({ name, steps }: CssAnimation): string =>
  [`@keyframes ${name} {`, ...steps.map((step) => `  ${step}`), "}"].join("\n");

/** One motion: its values, its keyframes, and a class for each layer on each way. */
const motionCss = ({ id, motion }: NamedMotion): { values: string[]; rules: string[]; classes: string[] } => {
  const name = cssName(id);
  const values = new Values(name);
  const rules: string[] = [];
  const classes: string[] = [];
  for (const way of ways) {
    const shape = shapeOf(motion, way);
    for (const layer of layers) {
      const base = `${name}-${way}-${layer}`;
      const animations = animationsOf(base, shape[layer]);
      rules.push(...animations.map(framesCss), classCss(base, animations, shape.above === layer, values));
      classes.push(base);
    }
    if (motion.scrim === undefined) continue;
    const tracks = way === "forward" ? shape.incoming : shape.outgoing;
    const scrim = scrimCss(`${name}-${way}`, tracks, way === "forward", motion.scrim || plainScrim, values);
    if (scrim) rules.push(scrim.frames, scrim.css);
  }
  return { values: values.lines, rules, classes };
};

/**
 * Motions as CSS: keyframes, a class for each layer on each way, and one block in which a person who asks for reduced motion gets the
 * calm motion in place of all of them. `x` is mirrored from right to left by `--motion-side`.
 */
export const motionsAsCss = (motions: readonly NamedMotion[], calm: NamedMotion): string => {
  const written = motions.map((each) => ({ name: each.motion.name, ...motionCss(each) }));
  const calmed = motions.some(({ id }) => id === calm.id) ? [] : [{ name: calm.motion.name, ...motionCss(calm) }];
  const all = [...written, ...calmed];
  const calmName = cssName(calm.id);
  const reduced = written.flatMap(({ classes }) =>
    classes.map((name) => {
      const suffix = name.split("-").slice(-2).join("-");
      const way = suffix.startsWith("back") ? "back" : "forward";
      const layer = suffix.endsWith("incoming") ? "incoming" : "outgoing";
      const tracks = shapeOf(calm.motion, way)[layer];
      const names = animationsOf(`${calmName}-${suffix}`, tracks).map(
        (each) => `${each.name} ${plainNumber(each.ms, 2)}ms ${each.timing} ${plainNumber(each.delay, 2)}ms both`,
      );
      return `  .${name} { animation: ${names.join(", ") || "none"}; }`;
    }),
  );
  return [
    ":root {",
    ...all.flatMap(({ values }) => values),
    "}",
    "",
    '[dir="rtl"] {',
    "  --motion-side: -1;",
    "}",
    "",
    ...all.flatMap(({ name, rules }) => [`/* ${name.replaceAll("*/", "* /")} */`, ...rules, ""]),
    "@media (prefers-reduced-motion: reduce) {",
    ...reduced,
    "}",
    "",
  ].join("\n");
};
