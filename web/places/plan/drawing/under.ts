import type { Id, PlanLayout } from "../../../../core/index.js";

export interface Point {
  x: number;
  y: number;
}
export interface Rect extends Point {
  width: number;
  height: number;
}

/** A thing of the plan under a point. */
export interface Under extends Rect {
  id: Id;
  parent: Id | null;
}

export const within = (rect: Rect, { x, y }: Point): boolean =>
  x >= rect.x && x < rect.x + rect.width && y >= rect.y && y < rect.y + rect.height;

/** The smallest thing under a point: a card before the plate it lies on. */
export const smallestUnder = (layout: PlanLayout, point: Point): Under | null => {
  let found: Under | null = null;
  for (const boxes of [layout.cards, layout.teeth, layout.panes, layout.plates])
    for (const box of boxes)
      if (within(box, point) && (!found || box.width * box.height < found.width * found.height)) found = box;
  return found;
};
