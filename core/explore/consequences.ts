import { equal } from "../frame/equal.js";
import type { Fault } from "../frame/fault.js";
import { childrenOf } from "../frame/defaults.js";
import { isAttached } from "../frame/frame-index.js";
import type { FixedFrame } from "../frame/types.js";
import type { Id, Opens } from "../frame/parts.js";
import { needsAbove, type Unmet } from "../frame/needs.js";
import { type LadderPath, pathOf, samePath } from "../observe/ladder.js";
import type { Standpoints } from "./standpoints.js";
import { takeWay } from "./taken.js";
import { type Way, waysIn, waysOut } from "./ways.js";

/** What a change does to one node, as a person would see it. */
export interface Consequences {
  /** Faults that forbid the change. */
  faults: Fault[];
  bars: { before: boolean; after: boolean };
  header: { before: boolean; after: boolean };
  /** The tab that is lit; null when none can be seen. */
  tab: { before: Id | null; after: Id | null };
  /** As what overlay it shows; null when it is pushed. */
  overlay: { before: Opens | null; after: Opens | null };
  /** What Back does from there, by the first way in; null where there is none. */
  back: { before: LadderPath | null; after: LadderPath | null };
  /** Ways in after which bars, tab, header, overlay or Back are others than before. */
  changed: Way[];
  /** Ways in that are gone, or lead nowhere now. */
  broken: Way[];
  /** It stands in no container now, so nothing can open it. */
  loose: boolean;
  /** What it, or a container around it, needs now and did not before; and what it needs no more. */
  needs: { added: Unmet[]; dropped: Unmet[] };
}

interface Look {
  bars: boolean;
  header: boolean;
  tab: Id | null;
  overlay: Opens | null;
  back: LadderPath | null;
  /** Something else came in its place, as it may not be shown to whom the app is launched for. */
  isKeptOut: boolean;
}

const sameWay = (a: Way, b: Way): boolean => a.from === b.from && a.via === b.via && a.action === b.action;

/** Whether Back does the same. */
export const sameBack = (a: LadderPath | null, b: LadderPath | null): boolean => (a && b ? samePath(a, b) : a === b);

const sameLook = (a: Look, b: Look): boolean =>
  a.bars === b.bars && a.header === b.header && a.tab === b.tab && a.overlay === b.overlay && sameBack(a.back, b.back);

/** The screens at or below a node, each once. */
const screensUnder = (frame: FixedFrame, id: Id): Id[] => {
  const found = new Set<Id>();
  const walk = (at: Id): void => {
    const node = frame.nodes[at];
    if (!node || found.has(at)) return;
    if (node.kind === "screen") found.add(at);
    else for (const child of childrenOf(node)) walk(child);
  };
  walk(id);
  return [...found];
};

const needsBetween = (before: FixedFrame, after: FixedFrame, id: Id): Consequences["needs"] => {
  const needsIn = (frame: FixedFrame) => (frame.nodes[id] ? needsAbove(frame, id) : []);
  const [was, is] = [needsIn(before), needsIn(after)];
  const without = (all: Unmet[], others: Unmet[]) =>
    all.filter(({ need }) => !others.some((other) => equal(other.need, need)));
  return { added: without(is, was), dropped: without(was, is) };
};

/** So many screens under a node are looked at. */
export const mostScreens = 12;

/** Compares a node before and after a change, through the screens at or under it and every way into them. */
export const consequencesOf = (was: Standpoints, is: Standpoints, id: Id, faults: Fault[] = []): Consequences => {
  const [before, after] = [was.frame, is.frame];
  const lookOf = (points: Standpoints, way: Way): Look | null => {
    if (!points.frame.nodes[way.to] || !isAttached(points.frame, way.to)) return null;
    const taken = takeWay(points, way);
    return (
      taken && {
        bars: taken.seen.bars.some((bar) => !bar.inert),
        header: taken.seen.headers.length > 0,
        tab: taken.seen.bars.findLast((bar) => !bar.inert)?.active ?? null,
        overlay: taken.seen.overlay?.opens ?? null,
        back: taken.seen.ladder && pathOf(taken.seen.ladder),
        isKeptOut: taken.seen.notes.some(({ code }) => code === "redirected" || code === "refused"),
      }
    );
  };
  // the ways there were are asked after one by one: gathering all of the new frame is too slow while something is dragged
  const isStillThere = (way: Way): boolean => {
    const from = after.nodes[way.from];
    return from !== undefined && waysOut(way.from, from).some((other) => other.to === way.to && sameWay(other, way));
  };
  const changed: Way[] = [];
  const broken: Way[] = [];
  let first: { before: Look | null; after: Look | null } | null = null;
  for (const screen of screensUnder(before, id).slice(0, mostScreens))
    for (const way of waysIn(before, screen)) {
      let look = lookOf(was, way);
      let now = isStillThere(way) ? lookOf(is, way) : null;
      // whom a need keeps out is told with the need; for all others nothing is changed by that
      if (look && now && look.isKeptOut !== now.isKeptOut) [look, now] = look.isKeptOut ? [now, now] : [look, look];
      first ??= { before: look, after: now };
      if (!look) continue;
      if (!now) broken.push(way);
      else if (!sameLook(look, now)) changed.push(way);
    }
  const side = (look: Look | null | undefined): Look =>
    look ?? { bars: false, header: false, tab: null, overlay: null, back: null, isKeptOut: false };
  const [one, other] = [side(first?.before), side(first?.after)];
  return {
    faults,
    bars: { before: one.bars, after: other.bars },
    header: { before: one.header, after: other.header },
    tab: { before: one.tab, after: other.tab },
    overlay: { before: one.overlay, after: other.overlay },
    back: { before: one.back, after: other.back },
    changed,
    broken,
    loose: after.nodes[id] !== undefined && !isAttached(after, id),
    needs: needsBetween(before, after, id),
  };
};
