import {
  applySoundly,
  type Frame,
  type Id,
  type PlanLayout,
  type Standpoints,
  waySays,
  waysOut,
  firstOf,
  nodeAt,
} from "../../../../core/index.js";
import { type Point, smallestUnder } from "../drawing/under.js";
import { addWay, type Planned } from "./edits.js";

/** A new way on its way from a node to where it should lead. */
export interface Pull {
  from: Id;
  start: Point;
  at: Point;
  target: { id: Id; x: number; y: number; width: number; height: number } | null;
  planned: Planned | null;
  says: string[];
  refused: boolean;
}

/** The smallest thing under a point that a way can lead to. */
export const pullTarget = (frame: Frame, layout: PlanLayout, point: Point): Pull["target"] => {
  const found = smallestUnder(layout, point);
  return found && found.id !== frame.root ? found : null;
};

/** What a new way to the target would come to: the edit, and what taking it does. */
export const lookAtPull = (
  points: Standpoints<Frame>,
  from: Id,
  to: Id,
): Pick<Pull, "planned" | "says" | "refused"> => {
  const { frame } = points;
  if (to === from) return { planned: null, says: ["a way from a screen to itself changes nothing"], refused: true };
  const planned = addWay(frame, from, to);
  const result = applySoundly(frame, planned.edit);
  if (!result.ok)
    return { planned: null, says: [firstOf(result.faults).received, firstOf(result.faults).remedy], refused: true };
  const way = waysOut(from, nodeAt(result.frame, from)).findLast((each) => each.to === to);
  return { planned, says: way ? [waySays(points.on(result.frame), way)] : [], refused: false };
};
