import { memo } from "react";
import type { PlanLayout } from "../../../../core/index.js";
import type { Chosen } from "../../../app/place.js";

interface Rect {
  x: number;
  y: number;
  width: number;
  height: number;
}

export const outline = (boxes: readonly Rect[]): string =>
  boxes.map(({ x, y, width, height }) => `M${x} ${y}h${width}v${height}h${-width}z`).join("");

/** The plan from so far that nothing on a card can be read: a few paths, however many screens there are. */
export const FarView = memo(function FarView({ layout, chosen }: { layout: PlanLayout; chosen: Chosen | null }) {
  const { plates, cards, teeth, covers } = layout;
  const tab = chosen && teeth.find((tooth) => tooth.id === chosen.id && tooth.hub === chosen.parent);
  return (
    <svg className="absolute inset-0 size-full overflow-visible" aria-hidden>
      <path
        d={outline(plates.filter((plate) => !plate.column))}
        fill="var(--plate-0)"
        stroke="var(--ink)"
        strokeWidth={2.5}
      />
      <path d={outline(covers)} fill="var(--saffron-soft)" stroke="var(--saffron)" strokeWidth={2.5} />
      <path d={outline(teeth)} fill="var(--plate-1)" stroke="var(--ink)" strokeWidth={2} />
      <path d={outline(cards)} fill="var(--plate-2)" stroke="var(--ink)" strokeWidth={2} />
      {tab && <rect {...{ x: tab.x, y: tab.y, width: tab.width, height: tab.height }} fill="var(--petrol)" />}
    </svg>
  );
});
