import type { Ease, Id, Motion, MotionShape, Track } from "../frame/parts.js";
import { isId } from "../frame/ids.js";
import { isRaw, type Raw } from "../frame/raw.js";
import { pointer } from "../frame/pointer.js";
import { trackMs } from "../motion/path.js";
import { type LayerName, shapeOf, type Toward } from "../motion/shape.js";
import type { NamedMotion } from "./motion-css.js";
import { bezierNear } from "./timing.js";

// Motions as design tokens: the Design Tokens Format Module of the W3C Design Tokens Community Group (2025.10). A track is a
// `transition` token; what such a token cannot say stands in its `$extensions`, which other tools keep and pass over.

const extension = "handy-frame";

const ms = (value: number) => ({ value: Math.round(value * 100) / 100, unit: "ms" });

const trackToken = (track: Track): Raw => ({
  $type: "transition",
  $value: { duration: ms(trackMs(track)), delay: ms(track.delay ?? 0), timingFunction: bezierNear(track) },
  $extensions: { [extension]: track },
});

const layerTokens = (tracks: readonly Track[]): Raw =>
  Object.fromEntries(tracks.map((track) => [track.property, trackToken(track)]));

const shapeTokens = (shape: MotionShape): Raw => ({
  incoming: layerTokens(shape.incoming),
  outgoing: layerTokens(shape.outgoing),
});

const motionTokens = ({ motion }: NamedMotion): Raw => ({
  $description: motion.name,
  $extensions: {
    [extension]: {
      name: motion.name,
      above: motion.forward.above,
      ...(motion.back === "mirror" ? { back: "mirror" } : { backAbove: motion.back.above }),
      ...(motion.scrim !== undefined && { scrim: motion.scrim }),
    },
  },
  forward: shapeTokens(motion.forward),
  back: shapeTokens(shapeOf(motion, "back")),
});

/** Motions as a file of design tokens. */
export const motionsAsTokens = (motions: readonly NamedMotion[]): string =>
  `${JSON.stringify({ motion: Object.fromEntries(motions.map((each) => [each.id, motionTokens(each)])) }, null, 2)}\n`;

/** What a file of design tokens gives: motions, and what of it could not be taken, each with where it stands and why. */
export interface TokensRead {
  motions: NamedMotion[];
  left: { pointer: string; why: string }[];
}

const isToken = (value: unknown): value is Raw => isRaw(value) && "$value" in value;

/** Reads a file of design tokens; where `$value`s name others in braces those are followed. */
class TokenReader {
  readonly motions: NamedMotion[] = [];
  readonly left: TokensRead["left"] = [];
  private readonly taken = new Set<Id>();

  constructor(private readonly file: Raw) {}

  private leave(at: readonly string[], why: string): void {
    this.left.push({ pointer: pointer(...at), why });
  }

  /** A value, or what it names; undefined where that leads nowhere, or round. */
  private followed(value: unknown, seen: readonly string[] = []): unknown {
    const name = typeof value === "string" ? /^\{(.+)\}$/.exec(value)?.[1] : undefined;
    if (name === undefined) return value;
    if (seen.includes(name)) return undefined;
    let at: unknown = this.file;
    for (const part of name.split(".")) at = isRaw(at) && Object.hasOwn(at, part) ? at[part] : undefined;
    return isToken(at) ? this.followed(at.$value, [...seen, name]) : undefined;
  }

  private ms(value: unknown): number | null {
    const found = this.followed(value);
    const text = typeof found === "string" ? /^([\d.]+)\s*(ms|s)$/.exec(found) : null;
    const [amount, unit] = text
      ? [Number(text[1]), text[2]]
      : isRaw(found)
        ? [Number(found.value), found.unit]
        : [NaN, ""];
    if (!Number.isFinite(amount) || amount < 0 || (unit !== "ms" && unit !== "s")) return null;
    return Math.min(10_000, unit === "s" ? amount * 1000 : amount);
  }

  private curve(value: unknown): Ease | null {
    const found = this.followed(value);
    if (!Array.isArray(found) || found.length !== 4) return null;
    const numbers = found.map((each) => Number(this.followed(each)));
    const [x1 = NaN, y1 = NaN, x2 = NaN, y2 = NaN] = numbers;
    if (!numbers.every(Number.isFinite) || x1 < 0 || x1 > 1 || x2 < 0 || x2 > 1) return null;
    return { bezier: [x1, y1, x2, y2] };
  }

  /** What a transition says of a track; null, with the reason told, where it cannot be read. */
  private transition(token: Raw, at: readonly string[]): Pick<Track, "ms" | "delay" | "ease"> | null {
    const value = this.followed(token.$value);
    if (!isRaw(value)) return this.none(at, "its value is no transition with duration and timingFunction");
    const duration = this.ms(value.duration);
    if (duration === null) return this.none([...at, "$value", "duration"], "it is no time in ms or s");
    const delay = value.delay === undefined ? 0 : this.ms(value.delay);
    if (delay === null) return this.none([...at, "$value", "delay"], "it is no time in ms or s");
    const ease = this.curve(value.timingFunction);
    if (!ease)
      return this.none(
        [...at, "$value", "timingFunction"],
        "it is no cubic Bézier of four numbers, both x within 0 to 1",
      );
    return { ms: duration, ease, ...(delay > 0 && { delay }) };
  }

  private none(at: readonly string[], why: string): null {
    this.leave(at, why);
    return null;
  }

  private add(wanted: string, motion: Motion): void {
    const plain = wanted.replaceAll(
      /[^A-Za-z0-9]+(.)?/g,
      (_, letter: string | undefined) => letter?.toUpperCase() ?? "",
    );
    const first = `${plain.charAt(0).toLowerCase()}${plain.slice(1)}`.slice(0, 36);
    const base = isId(first) ? first : `motion${plain.slice(0, 30)}`;
    let id = isId(base) ? base : "motion";
    for (let n = 2; this.taken.has(id); n += 1) id = `${base}${n}`;
    this.taken.add(id);
    this.motions.push({ id, motion });
  }

  /** A motion that was written by this tool, as it was; null where it is none. */
  private ours(group: Raw, at: readonly string[]): Motion | null {
    const said = isRaw(group.$extensions) ? group.$extensions[extension] : undefined;
    if (!isRaw(said) || typeof said.name !== "string" || !isRaw(group.forward)) return null;
    const shapeIn = (way: Toward, above: unknown): MotionShape => {
      const from = group[way];
      const layer = (name: LayerName): Track[] => this.tracks(isRaw(from) ? from[name] : undefined, [...at, way, name]);
      return {
        incoming: layer("incoming"),
        outgoing: layer("outgoing"),
        above: above === "outgoing" ? "outgoing" : "incoming",
      };
    };
    const forward = shapeIn("forward", said.above);
    const scrim = typeof said.scrim === "number" && said.scrim >= 0 && said.scrim <= 1 ? said.scrim : undefined;
    return {
      name: said.name.slice(0, 60) || "Motion",
      forward,
      back: said.back === "mirror" ? "mirror" : shapeIn("back", said.backAbove),
      ...(scrim !== undefined && { scrim }),
    };
  }

  private tracks(layer: unknown, at: readonly string[]): Track[] {
    if (!isRaw(layer)) return [];
    return Object.entries(layer).flatMap(([property, token]): Track[] => {
      if (!isToken(token)) return [];
      const here = [...at, property];
      const said = isRaw(token.$extensions) ? token.$extensions[extension] : undefined;
      const time = this.transition(token, here);
      if (!time) return [];
      if (!isTrack(said) || said.property !== property) {
        this.leave(here, "it does not say from where to where it goes");
        return [];
      }
      // the token's own time counts where another tool has changed it
      const isAsWritten = JSON.stringify(trackToken(said).$value) === JSON.stringify(token.$value);
      return [isAsWritten ? said : { property: said.property, from: said.from, to: said.to, ...time }];
    });
  }

  read(group: Raw, at: readonly string[] = [], type?: unknown): void {
    const own = group.$type ?? type;
    const motion = this.ours(group, at);
    if (motion) return this.add(at.at(-1) ?? motion.name, motion);
    for (const [name, value] of Object.entries(group)) {
      if (name.startsWith("$") || !isRaw(value)) continue;
      const here = [...at, name];
      if (!isToken(value)) this.read(value, here, own);
      else this.token(value, here, value.$type ?? own);
    }
  }

  /** A transition by itself says no more than how something goes: here it is how a screen appears. */
  private token(token: Raw, at: readonly string[], type: unknown): void {
    if (type !== "transition")
      return this.leave(
        at,
        type === "duration" || type === "cubicBezier"
          ? "by itself it moves nothing; a transition that names it is taken"
          : `a ${typeof type === "string" ? type : "token without a type"} says nothing of a motion`,
      );
    const time = this.transition(token, at);
    if (!time) return;
    const name = at.at(-1) ?? "motion";
    const incoming: Track[] = [{ property: "opacity", from: 0, to: 1, ...time }];
    this.add(at.join(" "), {
      name: (typeof token.$description === "string" ? token.$description : name).slice(0, 60) || "Motion",
      forward: { incoming, outgoing: [], above: "incoming" },
      back: "mirror",
    });
  }
}

const properties = new Set(["x", "y", "scale", "opacity", "turn"]);
const isNumber = (value: unknown): value is number => typeof value === "number" && Number.isFinite(value);

const isEase = (value: unknown): value is Ease => {
  if (value === "linear") return true;
  if (!isRaw(value)) return false;
  const { bezier, spring, steps } = value;
  if (Array.isArray(bezier))
    return (
      bezier.length === 4 && bezier.every((each, i) => isNumber(each) && (i % 2 === 1 || (each >= 0 && each <= 1)))
    );
  if (isRaw(spring))
    return (
      isNumber(spring.mass) &&
      spring.mass > 0 &&
      isNumber(spring.stiffness) &&
      spring.stiffness > 0 &&
      isNumber(spring.damping) &&
      spring.damping >= 0
    );
  return isNumber(steps) && Number.isInteger(steps) && steps >= 1 && steps <= 1000;
};

const isTrack = (value: unknown): value is Track =>
  isRaw(value) &&
  properties.has(String(value.property)) &&
  isNumber(value.from) &&
  isNumber(value.to) &&
  (value.ms === undefined || (isNumber(value.ms) && value.ms >= 0)) &&
  (value.delay === undefined || (isNumber(value.delay) && value.delay >= 0)) &&
  isEase(value.ease);

/** The motions in a file of design tokens, and what of it could not be taken. What is no file of tokens gives one fault. */
export const readMotionTokens = (text: string): TokensRead => {
  let file: unknown;
  try {
    file = JSON.parse(text);
  } catch (error) {
    return {
      motions: [],
      left: [{ pointer: "", why: `it is no JSON: ${error instanceof Error ? error.message : String(error)}` }],
    };
  }
  if (!isRaw(file) || Array.isArray(file))
    return { motions: [], left: [{ pointer: "", why: "it is no object with groups of tokens" }] };
  const reader = new TokenReader(file);
  reader.read(file);
  return { motions: reader.motions, left: reader.left };
};
