import { memo, useMemo } from "react";
import { type Frame, planLayout, type PlanLayout } from "../../core/index.js";

export interface SmallPlanProps {
  frame: Frame;
  width: number;
  height: number;
  /** What is not in this frame is lit. */
  fresh?: Frame;
}

type Spot = Pick<PlanLayout["cards"][number], "x" | "y" | "width" | "height">;

const corner = 5;

/** The outlines of boxes that look alike: one thing to draw, however many there are. */
const outlineOf = (boxes: readonly Spot[], round = corner): string =>
  boxes
    .map(({ x, y, width, height }) => {
      const [across, down] = [width - 2 * round, height - 2 * round];
      const turn = (right: number, below: number) => `a${round} ${round} 0 0 1 ${right * round} ${below * round}`;
      return `M${x + round} ${y}h${across}${turn(1, 1)}v${down}${turn(-1, 1)}h${-across}${turn(-1, -1)}v${-down}${turn(1, -1)}z`;
    })
    .join("");

/** Lines where a screen's content is. */
const linesOf = (cards: PlanLayout["cards"]): string =>
  cards
    .filter(({ picture }) => picture)
    .map(
      ({ x, y, width }) =>
        `M${x + 12} ${y + 20}h${width - 40}M${x + 12} ${y + 46}h${width - 24}M${x + 12} ${y + 64}h${width - 34}`,
    )
    .join("");

/** A frame's plan, small: its plates and cards without their names. */
export const SmallPlan = memo(function SmallPlan({ frame, width, height, fresh }: SmallPlanProps) {
  const layout = useMemo(() => planLayout(frame, { pictured: () => Object.keys(frame.nodes).length <= 120 }), [frame]);
  const plates = layout.plates.filter((plate) => !plate.column || plate.kind === "hub");
  const depths = [...new Set(plates.map(({ depth }) => depth))].sort((a, b) => a - b);
  const isFresh = ({ id }: { id: string }) => fresh !== undefined && !Object.hasOwn(fresh.nodes, id);
  const teeth = layout.teeth.map(({ x, y, width, height }) => ({ x: x + 4, y, width: width - 8, height: height - 8 }));
  return (
    <svg
      viewBox={`-4 -4 ${layout.width + 8} ${layout.height + 8}`}
      width={width}
      height={height}
      preserveAspectRatio="xMidYMid meet"
      aria-hidden
      className="shrink-0"
    >
      <g stroke="var(--ink)" strokeWidth={3}>
        {depths.map((depth) => (
          <path
            key={depth}
            d={outlineOf(plates.filter((plate) => plate.depth === depth))}
            fill={depth % 2 ? "var(--plate-2)" : "var(--plate-0)"}
          />
        ))}
        <path d={outlineOf(teeth, 0)} fill="var(--petrol-soft)" />
        <path d={outlineOf(layout.covers)} fill="var(--saffron-soft)" stroke="var(--saffron)" />
        <path d={outlineOf(layout.cards.filter((card) => !isFresh(card)))} fill="var(--plate-2)" />
        <path d={outlineOf(layout.cards.filter(isFresh))} fill="var(--petrol-soft)" stroke="var(--petrol)" />
        <path d={linesOf(layout.cards)} stroke="var(--rule)" strokeWidth={7} />
      </g>
    </svg>
  );
});
