import type { ScreenNode } from "./types.js";

/** One segment of an address pattern: a literal, a `:name`, or the rest (`*`). */
export type Segment = { kind: "text"; text: string } | { kind: "name"; name: string } | { kind: "rest" };

/** A parsed address pattern: a subset of the pathname syntax of the WHATWG URL Pattern standard. */
export interface Pattern {
  text: string;
  segments: Segment[];
  /** The params it names, in order; `*` is the param `0`. */
  names: string[];
  /** What it matches, with names left out: two patterns with a shape in common match the same addresses equally well. */
  shapes: string[];
  /** The last segment, a `:name?`, may be missing. */
  optional: boolean;
}

/** A parsed pattern, or why a text is none. */
export type PatternResult = { ok: true; pattern: Pattern } | { ok: false; reason: string };

const nameForm = /^(?!__proto__$)[A-Za-z_][A-Za-z0-9_]*$/;
const parsed = new Map<string, PatternResult>();

/** Percent-encoding undone (RFC 3986); null if it is malformed. */
export const decoded = (text: string): string | null => {
  if (!text.includes("%")) return text;
  try {
    return decodeURIComponent(text);
  } catch {
    return null;
  }
};

/** Whether a segment is `.` or `..`, however it is written (WHATWG URL, single- and double-dot path segments). */
export const isDots = (segment: string): boolean => /^(?:\.|%2e){1,2}$/i.test(segment);

const shapesOf = (segments: readonly Segment[], optional: boolean): string[] => {
  const parts = segments.map((s) => (s.kind === "text" ? `/${s.text}` : s.kind === "name" ? "/:" : "/*"));
  const whole = parts.join("") || "/";
  return optional ? [whole, parts.slice(0, -1).join("") || "/"] : [whole];
};

const parse = (text: string): PatternResult => {
  if (!text.startsWith("/")) return { ok: false, reason: "a pattern starts with /" };
  const parts = text.slice(1).split("/");
  if (parts.at(-1) === "") parts.pop();
  const segments: Segment[] = [];
  const names = new Set<string>();
  let optional = false;
  for (const [i, part] of parts.entries()) {
    const last = i === parts.length - 1;
    if (part === "") return { ok: false, reason: "there is an empty segment (//)" };
    if (part === "*") {
      if (!last) return { ok: false, reason: "* stands only at the end" };
      segments.push({ kind: "rest" });
    } else if (part.startsWith(":")) {
      const open = part.endsWith("?");
      const name = open ? part.slice(1, -1) : part.slice(1);
      if (open && !last) return { ok: false, reason: `${part} may be left out only at the end` };
      if (!nameForm.test(name))
        return { ok: false, reason: `${part} is no name: letters, digits and _ after the colon` };
      if (names.has(name)) return { ok: false, reason: `:${name} stands twice` };
      names.add(name);
      optional = open;
      segments.push({ kind: "name", name });
    } else if (/[:*?#{}()\s]/.test(part)) {
      return { ok: false, reason: `${part} is neither a plain word nor :name nor *` };
    } else {
      const word = decoded(part);
      if (word === null) return { ok: false, reason: `${part} is no valid percent-encoding` };
      if (isDots(part))
        return { ok: false, reason: `${part} means another place in an address, so no link leads here` };
      segments.push({ kind: "text", text: word });
    }
  }
  const named = segments.flatMap((s) => (s.kind === "name" ? [s.name] : s.kind === "rest" ? ["0"] : []));
  return { ok: true, pattern: { text, segments, names: named, shapes: shapesOf(segments, optional), optional } };
};

/** Reads a pattern: absolute; literals, `:name`, `:name?` at the end, `*` at the end; a slash at the end means nothing. */
export const readPattern = (text: string): PatternResult => {
  let result = parsed.get(text);
  if (!result) {
    result = parse(text);
    if (parsed.size > 20_000) parsed.clear();
    parsed.set(text, result);
  }
  return result;
};

/** A param's value; names such as `constructor` are in no params unless they were put there. */
const valueOf = (params: Readonly<Record<string, string>>, name: string): string | undefined =>
  Object.hasOwn(params, name) ? params[name] : undefined;

/** One segment of an address; null if no address can say it: an empty one, or dots, which lead elsewhere. */
const written = (value: string): string | null =>
  value === "" || isDots(value) ? null : encodeURIComponent(value.toWellFormed());

/** The rest of an address. Slashes in it stay, unless another reader would take them, or the dots between them, for something else. */
const writtenRest = (value: string): string | null => {
  const parts = value.split("/");
  const isPlain = parts[0] !== "" && parts.at(-1) !== "" && !parts.some(isDots);
  return isPlain ? parts.map((part) => encodeURIComponent(part.toWellFormed())).join("/") : written(value);
};

/** The path of a pattern with its params filled in, percent-encoded; null if a param it must have is missing, or no path can say it. */
export const fillPattern = (pattern: Pattern, params: Readonly<Record<string, string>>): string | null => {
  let address = "";
  for (const [i, segment] of pattern.segments.entries()) {
    const isRest = segment.kind === "rest";
    const value = segment.kind === "text" ? segment.text : (valueOf(params, isRest ? "0" : segment.name) ?? "");
    if (value === "" && pattern.optional && i === pattern.segments.length - 1) break;
    const text = isRest ? writtenRest(value) : written(value);
    if (text === null) return null;
    address += `/${text}`;
  }
  return address || "/";
};

/** The pattern of a screen that has an address; null for one that has none, or an unreadable one. */
export const patternOf = (screen: ScreenNode): Pattern | null => {
  if (screen.path === undefined) return null;
  const result = readPattern(screen.path);
  return result.ok ? result.pattern : null;
};

/** Those of the params that the screen's pattern names. */
export const paramsNamed = (screen: ScreenNode, params: Readonly<Record<string, string>>): Record<string, string> => {
  const pattern = patternOf(screen);
  const kept: Record<string, string> = {};
  if (pattern)
    for (const name of pattern.names) {
      const value = valueOf(params, name);
      if (value !== undefined) kept[name] = value;
    }
  return kept;
};

/** Whether the params have all that the screen's pattern must have. */
export const fillsPattern = (screen: ScreenNode, params: Readonly<Record<string, string>>): boolean => {
  const pattern = patternOf(screen);
  return pattern === null || fillPattern(pattern, params) !== null;
};

/** Those declared params of a screen that its pattern does not name: they stand in the query of its address. */
export const queryNames = (screen: ScreenNode): string[] => {
  const names = patternOf(screen)?.names ?? [];
  return Object.keys(screen.params ?? {}).filter((name) => !names.includes(name));
};

/** The address of a screen with these params: its pattern filled in, the declared params it does not name as a query; null if it has none. */
export const addressFor = (screen: ScreenNode, params: Readonly<Record<string, string>>): string | null => {
  const pattern = patternOf(screen);
  const path = pattern && fillPattern(pattern, params);
  if (path === null) return null;
  const query = new URLSearchParams();
  for (const name of queryNames(screen)) {
    const value = valueOf(params, name);
    if (value !== undefined) query.set(name, value);
  }
  return query.size ? `${path}?${query.toString()}` : path;
};

/**
 * The params of a pattern whose segments are the first ones of another, taken from that one's by position; null if they
 * are not, or if there are none: what lies on the way to an address.
 */
export const prefixParams = (
  pattern: Pattern,
  of: Pattern,
  params: Readonly<Record<string, string>>,
): Record<string, string> | null => {
  const fits = (count: number): boolean =>
    count > 0 &&
    count < of.segments.length &&
    pattern.segments.slice(0, count).every((segment, i) => {
      const other = of.segments[i]!;
      return segment.kind === "text"
        ? other.kind === "text" && other.text === segment.text
        : segment.kind === "name" && other.kind === "name";
    });
  const full = pattern.segments.length;
  const count = fits(full) ? full : pattern.optional && fits(full - 1) ? full - 1 : 0;
  if (count === 0) return null;
  const own: Record<string, string> = {};
  for (let i = 0; i < count; i += 1) {
    const [mine, other] = [pattern.segments[i]!, of.segments[i]!];
    const value = mine.kind === "name" && other.kind === "name" ? valueOf(params, other.name) : undefined;
    if (mine.kind === "name" && value !== undefined) own[mine.name] = value;
  }
  return own;
};
