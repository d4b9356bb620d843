import { keysOfAll } from "../frame/keys.js";
import { endOf, type Mover } from "./mover.js";
import type { Moving } from "./moving.js";
import type { Path, TrackProperty } from "./path.js";
import { atRest, type LayerPaths } from "./sample.js";

/** One path until a time, another from then on, ms. */
const thenBy = (property: TrackProperty, first: Path | undefined, then: Path | undefined, at: number): Path => {
  const before = (ms: number): number => first?.at(ms) ?? atRest[property];
  return {
    from: before(0),
    to: then?.to ?? before(at),
    end: at + (then?.end ?? 0),
    at: (ms) => (ms < at ? before(ms) : (then?.at(ms - at) ?? before(at))),
    speed: (ms) => (ms < at ? (first?.speed(ms) ?? 0) : (then?.speed(ms - at) ?? 0)),
  };
};

const bothPaths = (first: LayerPaths, then: LayerPaths, at: number): LayerPaths => {
  const properties = [...keysOfAll(first, then)];
  return Object.fromEntries(properties.map((each) => [each, thenBy(each, first[each], then[each], at)]));
};

/**
 * What is under way from 0 until it is turned round at a time, and what is from then on, as one: to be looked at again and
 * again. It shows what the second does.
 */
export const turnedAt = (first: Moving, then: Moving, at: number): Moving => {
  const movers = [...then.movers].map(([id, mover]): [string, Mover] => {
    if (mover.start < at) return [id, mover];
    const before = first.movers.get(id);
    const paths = bothPaths(before?.paths ?? {}, mover.paths, at);
    // what lies above is told by the layer that the eye follows: it stays as it was
    const isUnder = before?.isUnder ?? mover.isUnder;
    return [id, { ...mover, paths, start: 0, end: at + Math.max(mover.end - at, endOf(mover.paths)), isUnder }];
  });
  return { ...then, movers: new Map(movers) };
};
