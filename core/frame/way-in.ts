import { childrenOf, startOf } from "./defaults.js";
import { indexOf } from "./frame-index.js";
import { firstUnmet, hasNeeds, type Unmet, unmetOf } from "./needs.js";
import { nodeIn } from "./nodes.js";
import type { Facts, Id } from "./parts.js";
import type { FixedFrame, FixedNode } from "./types.js";

/** What a container shows first by itself: a stack's or a hub's start, a pair's list; undefined for a screen. */
export const startIn = (frame: FixedFrame, id: Id): Id | undefined => firstIn(nodeIn(frame, id));

const firstIn = (node: FixedNode | undefined): Id | undefined =>
  !node || node.kind === "screen" ? undefined : node.kind === "pair" ? node.list : startOf(node);

/** The first need that keeps a node from being shown as it starts: its own, else that of its start, and so on down; null where nothing does. */
export const startLacks = (frame: FixedFrame, facts: Facts, id: Id): Unmet | null => {
  const seen = new Set<Id>();
  for (let at: Id | undefined = id; at !== undefined && !seen.has(at); at = firstIn(nodeIn(frame, at))) {
    seen.add(at);
    const need = unmetOf(frame, facts, at);
    if (need) return { id: at, need };
  }
  return null;
};

/** The ids from a container down to a node in it, both with it, by the first of its places there; null where it stands nowhere in it. */
const wayDown = (frame: FixedFrame, from: Id, to: Id): readonly Id[] | null => {
  const { places, ways } = indexOf(frame);
  for (const place of places.get(to) ?? []) {
    const way = ways.get(place) ?? [];
    const at = way.indexOf(from);
    if (at >= 0) return [...way.slice(at), to];
  }
  return null;
};

/**
 * The ids from a node down to the screen that it shows where nobody has been there; null where nothing of it may be shown. A
 * start that may not be shown is entered by what stands in for it, if that is in the same container; a hub starts at its first
 * tab that may be shown then, and so does the root with its children.
 */
export const wayIn = (
  frame: FixedFrame,
  facts: Facts,
  id: Id,
  above: ReadonlySet<Id> = new Set(),
): readonly Id[] | null => {
  if (above.has(id) || unmetOf(frame, facts, id)) return null;
  const node = nodeIn(frame, id);
  const start = firstIn(node);
  if (!node || node.kind === "screen" || start === undefined) return [id];
  const seen = new Set(above).add(id);
  const by = (child: Id): readonly Id[] | null => {
    const way = wayIn(frame, facts, child, seen);
    return way && [id, ...way];
  };
  const direct = by(start) ?? instead(frame, facts, id, start, seen);
  if (direct || (node.kind !== "hub" && id !== frame.root)) return direct;
  for (const child of childrenOf(node)) {
    const way = child === start ? null : by(child);
    if (way) return way;
  }
  return null;
};

/** The way into a container by what stands in for its start. */
const instead = (
  frame: FixedFrame,
  facts: Facts,
  container: Id,
  start: Id,
  seen: ReadonlySet<Id>,
): readonly Id[] | null => {
  const otherwise = startLacks(frame, facts, start)?.need.otherwise;
  const way = otherwise === undefined || seen.has(otherwise) ? null : wayDown(frame, container, otherwise);
  if (!way || otherwise === undefined || firstUnmet(frame, facts, way)) return null;
  // a pair is not there without its list
  const lacksList = (id: Id, i: number): boolean => {
    const pair = nodeIn(frame, id);
    if (pair?.kind !== "pair" || way[i + 1] !== pair.detail || pair.list === undefined) return false;
    return wayIn(frame, facts, pair.list, new Set(seen).add(start)) === null;
  };
  if (way.some(lacksList)) return null;
  const inner = wayIn(frame, facts, otherwise, new Set(seen).add(start));
  return inner && [...way, ...inner.slice(1)];
};

/** Whether something of a node may be shown as it starts. */
export const mayStart = (frame: FixedFrame, facts: Facts, id: Id): boolean =>
  !hasNeeds(frame) || wayIn(frame, facts, id) !== null;
