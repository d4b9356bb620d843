import { screenAt } from "../frame/nodes.js";
import { sure } from "../frame/sure.js";
import { isAttached } from "../frame/frame-index.js";
import { appLookOf } from "../frame/app-look.js";
import { type View, viewOf } from "../frame/view.js";
import { classOf } from "../frame/views.js";
import type { FixedFrame, ScreenNode } from "../frame/types.js";
import type { Id } from "../frame/parts.js";
import { type NoLink, readLink } from "./link.js";
import { Matcher } from "./matcher.js";
import { type Pattern, patternOf, queryNames, readPattern } from "../frame/pattern.js";

/** One address pattern of a frame's screens. */
export interface ScreenAddress {
  screen: Id;
  pattern: Pattern;
  /** An older pattern, that links still lead by. */
  old: boolean;
  /** Those of its params that must be digits. */
  whole: readonly string[];
}

const wholeOf = (node: ScreenNode): string[] =>
  Object.entries(node.params ?? {}).flatMap(([name, kind]) => (kind === "whole" ? [name] : []));

/** The addresses of a frame, in the order of its nodes, the older ones of a screen behind its own. Loose screens have none that leads there. */
export const addressesOf = (frame: FixedFrame): ScreenAddress[] =>
  Object.entries(frame.nodes).flatMap(([screen, node]) => {
    if (node.kind !== "screen" || (node.path === undefined && !node.also) || !isAttached(frame, screen)) return [];
    return [...(node.path === undefined ? [] : [node.path]), ...(node.also ?? [])].flatMap((text, i) => {
      const read = readPattern(text);
      return read.ok
        ? [{ screen, pattern: read.pattern, old: node.path === undefined || i > 0, whole: wholeOf(node) }]
        : [];
    });
  });

const matchers = new WeakMap<FixedFrame["nodes"], Matcher<ScreenAddress>>();

const matcherOf = (frame: FixedFrame): Matcher<ScreenAddress> => {
  let matcher = matchers.get(frame.nodes);
  if (!matcher) {
    const claims = addressesOf(frame).map((value) => ({
      value,
      pattern: value.pattern,
      whole: value.whole,
    }));
    matchers.set(frame.nodes, (matcher = new Matcher(claims)));
  }
  return matcher;
};

/** Where a link leads. */
export type Target =
  | { kind: "screen"; screen: Id; params: Record<string, string>; by: ScreenAddress }
  /** No screen has that address: the frame's lost screen stands for it. */
  | { kind: "lost"; screen: Id; params: Record<string, string>; path: string }
  /** No screen has that address, and the frame names none that is shown then. */
  | { kind: "nowhere"; path: string }
  | ({ kind: "ignored" } & NoLink);

/** The values of a query that the screen declares and its pattern does not name; one that must be digits and is not is dropped. */
const queryParams = (screen: ScreenNode, query: string): Record<string, string> => {
  const params: Record<string, string> = {};
  if (query === "") return params;
  const given = new URLSearchParams(query);
  for (const name of queryNames(screen)) {
    const value = given.get(name);
    if (value !== null && (sure(screen.params)[name] !== "whole" || /^[0-9]+$/.test(value))) params[name] = value;
  }
  return params;
};

/** Those of a pattern's params that the screen knows: an older pattern may name what its own does not, and what it does not declare. */
const known = (screen: ScreenNode, params: Record<string, string>): Record<string, string> => {
  const pattern = patternOf(screen);
  if (!pattern) return params;
  const names = [...pattern.names, ...queryNames(screen)];
  const all = Object.entries(params);
  const kept = all.filter(([name]) => names.includes(name));
  return kept.length === all.length ? params : Object.fromEntries(kept);
};

/** Where a link to the app leads, in a view where it leads nowhere by itself; without one in that of a plain phone. Never throws. */
export const targetOfLink = (frame: FixedFrame, url: string, view?: View): Target => {
  const read = readLink(frame.address, url);
  if (!read.ok) return { kind: "ignored", malformed: read.malformed, reason: read.reason };
  const { path, query } = read.link;
  const found = matcherOf(frame).match(path);
  if (found) {
    const screen = screenAt(frame, found.value.screen);
    const params = { ...queryParams(screen, query), ...known(screen, found.params) };
    return { kind: "screen", screen: found.value.screen, params, by: found.value };
  }
  const { lost } = appLookOf(frame, classOf(frame, view ?? viewOf(frame)));
  if (lost === null || !isAttached(frame, lost)) return { kind: "nowhere", path };
  const node = screenAt(frame, lost);
  const own = node.path === undefined ? null : readPattern(node.path);
  const takesRest = own?.ok && own.pattern.names.includes("0");
  return { kind: "lost", screen: lost, params: takesRest ? { 0: path.slice(1) } : {}, path };
};
