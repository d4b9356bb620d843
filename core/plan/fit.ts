import { firstOf, lastOf } from "../frame/sure.js";
import type { Frame } from "../frame/types.js";
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

/** What cards show: their pictures, their titles alone, or what the room lets them. */
export type PlanShows = "fitting" | "pictures" | "titles";

/** How a plan is fitted into a room. */
export interface FitOptions extends Pick<PlanOptions, "view" | "folded"> {
  shows?: PlanShows;
}

/**
 * The plan with cards as large as the room lets them be: all of it in sight if that goes, else as wide as the room; with
 * less than 90 px for a card, title rows if they save anything. `shows` asks for one of both, whatever the room. Room that
 * is left beside is spread over the tabs. What is chosen changes nothing here: a plan stands still while it is worked with.
 */
export const fitPlan = (
  frame: Frame,
  room: { width: number; height: number },
  aspect: number,
  { view, folded = () => false, shows = "fitting" }: FitOptions = {},
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
  if (shows !== "titles" && Object.keys(frame.nodes).length <= mostFitted) {
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
  const titles = (): PlanLayout =>
    planLayout(frame, { ...common, sizes: sized(96, firstOf(cardShapes)), pictured: () => false });
  if (shows === "titles" || (shows === "fitting" && Object.keys(frame.nodes).length > mostFitted)) return titles();
  // title rows save height; where that is not what lacks, the smallest cards tell more in the same width
  const cards = planLayout(frame, { ...common, sizes: sized(lastOf(cardWidths), lastOf(cardShapes)) });
  if (shows === "pictures") return cards;
  const rows = titles();
  return cards.width <= rows.width && cards.height <= 2.4 * room.height ? cards : rows;
};
