import type { ScreenNode } from "../frame/types.js";

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

export type PatternResult = { ok: true; pattern: Pattern } | { ok: false; reason: string };

const nameForm = /^[A-Za-z_][A-Za-z0-9_]*$/;
const parsed = new Map<string, PatternResult>();

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
    } else segments.push({ kind: "text", text: part });
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

/** The address of a pattern with its params filled in, percent-encoded; null if a param it must have is missing or empty. */
export const fillPattern = (pattern: Pattern, params: Readonly<Record<string, string>>): string | null => {
  let address = "";
  for (const [i, segment] of pattern.segments.entries()) {
    if (segment.kind === "text") {
      address += `/${encodeURI(segment.text)}`;
      continue;
    }
    const value = valueOf(params, segment.kind === "rest" ? "0" : segment.name);
    if (value === undefined || value === "") {
      if (pattern.optional && i === pattern.segments.length - 1) break;
      return null;
    }
    address +=
      segment.kind === "rest"
        ? `/${value.toWellFormed().split("/").map(encodeURIComponent).join("/")}`
        : `/${encodeURIComponent(value.toWellFormed())}`;
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
