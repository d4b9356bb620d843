import { firstOf, lastOf } from "../frame/sure.js";
import type { Frame } from "../frame/types.js";
import type { Id } from "../frame/parts.js";
import type { View } from "../frame/view.js";
import { planLayout } from "./layout.js";
import type { PlanOptions } from "./measure.js";
import type { PlanLayout } from "./placed.js";
import { planSizes, type PlanSizes } from "./sizes.js";

const cardWidths = [150, 140, 130, 122, 114, 106, 98, 90];
/** How tall a card's picture is for its width: a tall view is cut short where the room is low. */
const cardShapes = [1.4, 1.25, 1.1];
/** Measuring every width of a frame larger than this costs more than it tells: it will not fit. */
const mostFitted = 400;
const mostSpread = 70;

/** How many tabs side by side take part when a plan is spread. */
const spreadTabs = (layout: PlanLayout): number => {
  const wholes = new Set(
    layout.plates.filter((plate) => plate.kind === "hub" && !plate.column).map((plate) => plate.id),
  );
  return layout.teeth.filter((tooth) => wholes.has(tooth.hub)).length;
};

/**
 * The plan with cards as large as the room lets them be: all of it in sight if that goes, else as wide as the room; with
 * less than 90 px for a card, title rows if they save anything, and pictures only for `kept` (those beside the chosen one). Room that is left
 * beside is spread over the tabs.
 */
export const fitPlan = (
  frame: Frame,
  room: { width: number; height: number },
  aspect: number,
  kept: (id: Id) => boolean = () => false,
  view?: View,
  folded: (id: Id) => boolean = () => false,
): PlanLayout => {
  const common: PlanOptions = { folded, ...(view && { view }) };
  const sized = (width: number, shape: number): PlanSizes => ({
    ...planSizes,
    card: { width, height: Math.round(width * Math.min(aspect, shape)) },
    row: { ...planSizes.row, width: Math.max(planSizes.row.width, width) },
  });
  const spread = (options: PlanOptions, layout: PlanLayout): PlanLayout => {
    const tabs = spreadTabs(layout);
    const each = tabs === 0 ? 0 : Math.min(mostSpread, Math.floor((room.width - layout.width) / tabs));
    return each > 0 ? planLayout(frame, { ...options, spread: each }) : layout;
  };
  if (Object.keys(frame.nodes).length <= mostFitted) {
    let widest: [PlanOptions, PlanLayout] | null = null;
    for (const width of cardWidths)
      for (const shape of cardShapes) {
        const options = { ...common, sizes: sized(width, shape) };
        const layout = planLayout(frame, options);
        if (layout.width > room.width) break;
        if (layout.height <= room.height) return spread(options, layout);
        if (layout.height <= 2.2 * room.height && shape === cardShapes[0]) widest = [options, layout];
      }
    if (widest) return spread(...widest);
  }
  const rows = planLayout(frame, { ...common, sizes: sized(96, firstOf(cardShapes)), pictured: kept });
  if (Object.keys(frame.nodes).length > mostFitted) return rows;
  // title rows save height; where that is not what lacks, the smallest cards tell more in the same width
  const cards = planLayout(frame, { ...common, sizes: sized(lastOf(cardWidths), lastOf(cardShapes)) });
  return cards.width <= rows.width && cards.height <= 1.6 * room.height ? cards : rows;
};
