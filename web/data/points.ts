import { equal, type Frame, Standpoints, type View } from "../../core/index.js";
import type { Ways } from "./ways.js";

/** So many frames and views are kept with where a person stands in them: those that are looked at by turns. */
const mostKept = 12;

const kept = new WeakMap<Ways, Standpoints<Frame>[]>();

/** Where a person stands who comes to the nodes of a frame in a view, by the ways that are known now; also of a frame that is only tried out. */
export const pointsIn = (from: Ways, frame: Frame, view: View): Standpoints<Frame> => {
  const { ways } = from.get();
  const all = (kept.get(from) ?? []).filter((each) => each.isBy(ways));
  const known = all.find((each) => each.frame === frame && equal(each.view, view));
  if (known) return known;
  const points = new Standpoints(frame, view, ways);
  kept.set(from, [points, ...all.slice(0, mostKept - 1)]);
  return points;
};
