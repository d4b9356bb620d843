import { memo, useMemo } from "react";
import { type Frame, planLayout, type PlanLayout } from "../../core/index.js";

export interface SmallPlanProps {
  frame: Frame;
  width: number;
  height: number;
  /** What is not in this frame is lit. */
  fresh?: Frame;
}

const most = 600;

/** A frame's plan, small: its plates and cards without their names. */
export const SmallPlan = memo(function SmallPlan({ frame, width, height, fresh }: SmallPlanProps) {
  const layout = useMemo(() => planLayout(frame, { pictured: () => Object.keys(frame.nodes).length <= 120 }), [frame]);
  const isFresh = (id: string): boolean => fresh !== undefined && !Object.hasOwn(fresh.nodes, id);
  const plates = layout.plates.filter((plate) => !plate.column || plate.kind === "hub");
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
        {plates.slice(0, most).map((plate) => (
          <Box
            key={`${plate.parent} ${plate.id}`}
            box={plate}
            fill={plate.depth % 2 ? "var(--plate-2)" : "var(--plate-0)"}
          />
        ))}
        {layout.teeth.slice(0, most).map((tooth) => (
          <rect
            key={`${tooth.hub} ${tooth.id}`}
            x={tooth.x + 4}
            y={tooth.y}
            width={tooth.width - 8}
            height={tooth.height - 8}
            fill="var(--petrol-soft)"
          />
        ))}
        {layout.covers.map((strip) => (
          <Box key={strip.stack} box={strip} fill="var(--saffron-soft)" stroke="var(--saffron)" />
        ))}
        {layout.cards.slice(0, most).map((card) => (
          <Card key={`${card.parent} ${card.id}`} card={card} isFresh={isFresh(card.id)} />
        ))}
      </g>
    </svg>
  );
});

type Spot = Pick<PlanLayout["cards"][number], "x" | "y" | "width" | "height">;

function Box({ box: { x, y, width, height }, ...look }: { box: Spot; fill: string; stroke?: string | undefined }) {
  return <rect x={x} y={y} width={width} height={height} rx={5} {...look} />;
}

function Card({ card, isFresh }: { card: PlanLayout["cards"][number]; isFresh: boolean }) {
  const { x, y, width } = card;
  return (
    <g>
      <Box
        box={card}
        fill={isFresh ? "var(--petrol-soft)" : "var(--plate-2)"}
        stroke={isFresh ? "var(--petrol)" : undefined}
      />
      {card.picture && (
        <path
          d={`M${x + 12} ${y + 20}h${width - 40}M${x + 12} ${y + 46}h${width - 24}M${x + 12} ${y + 64}h${width - 34}`}
          stroke="var(--rule)"
          strokeWidth={7}
        />
      )}
    </g>
  );
}
