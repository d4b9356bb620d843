import {
  type Frame,
  type Id,
  isAttached,
  type PlanLayout,
  placesOf,
  type Way,
  waysIn,
  waysOut,
} from "../../../core/index.js";
import type { Chosen } from "../../app/place.js";

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

interface Spot {
  id: Id;
  parent: Id | null;
  x: number;
  y: number;
  width: number;
  height: number;
}

/** Where on a chosen screen's edge a new way is pulled from: under the pegs of those it has. */
export const pullSpot = (frame: Frame, layout: PlanLayout, chosen: Chosen): { x: number; y: number } | null => {
  const node = frame.nodes[chosen.id];
  if (!node || (node.kind !== "screen" && node.kind !== "hub")) return null;
  const own = [...layout.cards, ...layout.plates].find(
    (spot) => spot.id === chosen.id && spot.parent === chosen.parent,
  );
  if (!own) return null;
  const outs = Math.min(waysOut(chosen.id, node).length, most);
  return { x: own.x + own.width, y: own.y + Math.min(own.height - 6, Math.min(own.height / 2, 16) + outs * size) };
};

/** The pegs of the chosen screen: numbers for its ways out, letters for its ways in. */
export const pegsOf = (frame: Frame, layout: PlanLayout, chosen: Chosen): Peg[] => {
  const spotAt = (id: Id, parent: Id | null): Spot | undefined => {
    const isIt = (spot: Spot) => spot.id === id && spot.parent === parent;
    const pane = frame.nodes[id]?.kind === "screen" ? undefined : layout.panes.find(isIt);
    return pane ?? layout.teeth.find(isIt) ?? layout.cards.find(isIt) ?? layout.plates.find(isIt);
  };
  const own = spotAt(chosen.id, chosen.parent);
  const node = frame.nodes[chosen.id];
  if (!own || !node) return [];
  const spotOf = (id: Id): Spot | undefined => {
    const places = placesOf(frame, id);
    // of several places the one beside the chosen screen, else the first
    const place = places.includes(chosen.parent ?? "") ? chosen.parent : (places[0] ?? null);
    return spotAt(id, place);
  };
  const pegs: Peg[] = [];
  const used = new Map<string, number>();
  const other = (mark: string, way: Way, id: Id, side: "left" | "right") => {
    const spot = id === chosen.id ? undefined : spotOf(id);
    if (!spot) return;
    const key = `${id} ${side}`;
    const n = used.get(key) ?? 0;
    used.set(key, n + 1);
    const row = Math.min(size - 2, spot.height / 2);
    pegs.push({
      mark,
      filled: false,
      x: side === "right" ? spot.x + spot.width : spot.x,
      y: spot.y + row / 2 + 8 + n * size,
      way,
      dangling: !isAttached(frame, way.to),
    });
  };
  const spaced = (i: number, count: number): number =>
    own.y + Math.min(own.height / 2, 16) + i * Math.min(size, Math.max(12, (own.height - 20) / Math.max(1, count - 1)));
  const outs = waysOut(chosen.id, node).slice(0, most);
  outs.forEach((way, i) => {
    pegs.push({
      mark: outMark(i),
      filled: true,
      x: own.x + own.width,
      y: spaced(i, outs.length),
      way,
      dangling: !isAttached(frame, way.to),
    });
    other(outMark(i), way, way.to, "right");
  });
  const ins = waysIn(frame, chosen.id).slice(0, most);
  ins.forEach((way, i) => {
    pegs.push({
      mark: inMark(i),
      filled: true,
      x: own.x,
      y: spaced(i, ins.length) + 10,
      way,
      dangling: !isAttached(frame, way.from),
    });
    other(inMark(i), way, way.from, "left");
  });
  return pegs;
};
