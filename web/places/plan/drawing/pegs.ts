import {
  type Card,
  type Frame,
  type Id,
  isAttached,
  type PlanLayout,
  placesOf,
  type Way,
  waysIn,
  waysOut,
} from "../../../../core/index.js";
import type { Chosen } from "../../../app/place.js";

/** The mark of a way: filled at the end that leads, open where it leads to. The same mark stands in the bench drawer. */
export interface Peg {
  mark: string;
  filled: boolean;
  x: number;
  y: number;
  way: Way;
  /** It leads to what stands in no container. */
  dangling: boolean;
}

export const outMark = (i: number): string => String(i + 1);
export const inMark = (i: number): string =>
  i < 26 ? String.fromCharCode(97 + i) : `${String.fromCharCode(97 + (i % 26))}${Math.floor(i / 26)}`;

const size = 22;
const most = 12;
/** A card lower than this has no room for pegs under one another: they stand beside one another, away from it, px. */
const low = 60;
const beside = 20;

interface Spot extends Pick<Card, "id" | "parent" | "x" | "y" | "width" | "height"> {
  /** The strip with the title, which no peg lies on, px; a card has one. */
  head?: number;
}

/** How far down on a node's edge its first peg stands, px: under its title. */
const firstPeg = ({ head = 0, height }: { head?: number; height: number }): number =>
  head > 0 ? head + 9 : Math.min(height / 2, 16);

/** Where on a chosen screen's edge a new way is pulled from: under the pegs of those it has. */
export const pullSpot = (frame: Frame, layout: PlanLayout, chosen: Chosen): { x: number; y: number } | null => {
  const node = frame.nodes[chosen.id];
  if (!node || (node.kind !== "screen" && node.kind !== "hub")) return null;
  const own = [...layout.cards, ...layout.plates].find(
    (spot) => spot.id === chosen.id && spot.parent === chosen.parent,
  );
  if (!own) return null;
  const outs = Math.min(waysOut(chosen.id, node).length, most);
  if (own.height < low) return { x: own.x + own.width + outs * beside, y: own.y + own.height / 2 };
  return { x: own.x + own.width, y: own.y + Math.min(own.height - 6, firstPeg(own) + outs * size) };
};

/** Where a node is drawn in one of its places: its pane or tooth before its card or plate. */
const spotAt = (frame: Frame, layout: PlanLayout, id: Id, parent: Id | null): Spot | undefined => {
  const isIt = (spot: Spot) => spot.id === id && spot.parent === parent;
  const pane = frame.nodes[id]?.kind === "screen" ? undefined : layout.panes.find(isIt);
  return pane ?? layout.teeth.find(isIt) ?? layout.cards.find(isIt) ?? layout.plates.find(isIt);
};

/** The other ends of ways: one peg under the other where several are at the same side of a node. */
const otherEnds = (frame: Frame, layout: PlanLayout, chosen: Chosen) => {
  const used = new Map<string, number>();
  return (mark: string, way: Way, id: Id, side: "left" | "right"): Peg[] => {
    const places = placesOf(frame, id);
    // of several places the one beside the chosen screen, else the first
    const place = places.includes(chosen.parent ?? "") ? chosen.parent : (places[0] ?? null);
    const spot = id === chosen.id ? undefined : spotAt(frame, layout, id, place);
    if (!spot) return [];
    const n = used.get(`${id} ${side}`) ?? 0;
    used.set(`${id} ${side}`, n + 1);
    const away = spot.height < low ? n * beside : 0;
    const down = spot.height < low ? spot.height / 2 : firstPeg(spot) + n * size;
    return [
      {
        mark,
        filled: false,
        x: side === "right" ? spot.x + spot.width + away : spot.x - away,
        y: spot.y + down,
        way,
        dangling: !isAttached(frame, way.to),
      },
    ];
  };
};

/** The pegs of the chosen screen: numbers for its ways out, letters for its ways in. */
export const pegsOf = (frame: Frame, layout: PlanLayout, chosen: Chosen): Peg[] => {
  const own = spotAt(frame, layout, chosen.id, chosen.parent);
  const node = frame.nodes[chosen.id];
  if (!own || !node) return [];
  const otherEnd = otherEnds(frame, layout, chosen);
  const isLow = own.height < low;
  const spaced = (i: number, count: number): number =>
    isLow
      ? own.y + own.height / 2
      : own.y +
        firstPeg(own) +
        i * Math.min(size, Math.max(12, (own.height - firstPeg(own) - 8) / Math.max(1, count - 1)));
  const outs = waysOut(chosen.id, node).slice(0, most);
  const ins = waysIn(frame, chosen.id).slice(0, most);
  return [
    ...outs.flatMap((way, i): Peg[] => {
      const at = { x: own.x + own.width + (isLow ? i * beside : 0), y: spaced(i, outs.length) };
      const mark = outMark(i);
      const peg = { mark, filled: true, ...at, way, dangling: !isAttached(frame, way.to) };
      return [peg, ...otherEnd(mark, way, way.to, "right")];
    }),
    ...ins.flatMap((way, i): Peg[] => {
      const at = { x: own.x - (isLow ? i * beside : 0), y: spaced(i, ins.length) + (isLow ? 0 : 10) };
      const mark = inMark(i);
      const peg = { mark, filled: true, ...at, way, dangling: !isAttached(frame, way.from) };
      return [peg, ...otherEnd(mark, way, way.from, "left")];
    }),
  ];
};
