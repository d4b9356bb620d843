import {
  applySoundly,
  type Consequences,
  consequenceSays,
  consequencesOf,
  type Frame,
  type Id,
  plainName,
  type PlanLayout,
  subtreeOf,
  type Standpoints,
  type View,
  nodeAt,
} from "../../../../core/index.js";
import type { Chosen } from "../../../app/place.js";
import { moveInto, type Planned } from "./edits.js";
import { type Point, type Rect, within } from "../drawing/under.js";

const inStrip = (plate: Rect, strip: Rect): boolean => within(strip, plate) && plate.width < strip.width;

/** Where something that is dragged would go. */
export interface DropPlace {
  /** The container; null is the tray. */
  to: Id | null;
  after: Id | null;
  /** What is lit on the plan. */
  area: Rect;
}

/** The place under a point: the innermost plate there that is not part of what is dragged; outside all plates the tray. */
export const placeAt = (frame: Frame, layout: PlanLayout, dragged: Id, point: Point): DropPlace => {
  const own = new Set(subtreeOf(frame, dragged));
  let area: (Rect & { id: Id; kind?: string }) | null = null;
  for (const plate of layout.plates)
    if (!own.has(plate.id) && within(plate, point) && (!area || plate.width * plate.height <= area.width * area.height))
      area = plate;
  for (const tooth of layout.teeth)
    if (!own.has(tooth.id) && nodeAt(frame, tooth.id).kind === "stack" && within(tooth, point))
      area = { ...tooth, kind: "stack" };
  for (const pane of layout.panes)
    if (!own.has(pane.id) && nodeAt(frame, pane.id).kind === "stack" && within(pane, point))
      area = { ...pane, kind: "stack" };
  const cover = layout.covers.find((strip) => !own.has(strip.stack) && within(strip, point));
  const deeper =
    cover && layout.plates.some((plate) => !own.has(plate.id) && within(plate, point) && inStrip(plate, cover));
  if (cover && !deeper) area = { ...cover, id: cover.stack };
  if (!area)
    return { to: null, after: null, area: layout.tray ?? { x: 0, y: layout.height, width: layout.width, height: 40 } };
  const to = area.id;
  const sideways = nodeAt(frame, to).kind === "hub";
  const items: (Rect & { id: Id })[] = sideways
    ? layout.teeth.filter((tooth) => tooth.hub === to)
    : [...layout.cards, ...layout.plates].filter((item) => item.parent === to);
  let after: Id | null = null;
  for (const item of items)
    if (item.id !== dragged && (sideways ? item.x + item.width / 2 < point.x : item.y + item.height / 2 < point.y))
      after = item.id;
  return { to, after, area };
};

/** A drop, and what it would do. */
export interface DropLook {
  planned: Planned;
  consequences: Consequences;
  /** The frame after it; as before where it is refused. */
  after: Frame;
  view: View;
}

export const lookAtDrop = (points: Standpoints<Frame>, chosen: Chosen, place: DropPlace): DropLook => {
  const { frame } = points;
  const planned = moveInto(frame, chosen, place.to, place.after);
  const result = applySoundly(frame, planned.edit);
  return {
    planned,
    view: points.view,
    after: result.ok ? result.frame : frame,
    consequences: result.ok
      ? consequencesOf(points, points.on(result.frame), chosen.id)
      : consequencesOf(points, points, chosen.id, result.faults),
  };
};

/** What a drop does, in a few words each, the gravest first. */
export const sayDrop = (frame: Frame, place: DropPlace, { consequences, after, view }: DropLook): string[] => {
  const { faults, loose } = consequences;
  const said = consequenceSays(after, view, consequences);
  if (faults.length) return [`not here: ${said[0]}`, ...said.slice(1)];
  const where = place.to === null || loose ? "loose: nothing can open it" : `into ${plainName(frame, place.to)}`;
  return [where, ...(said.length === 0 && !loose ? ["Back and bars as before"] : said)];
};
