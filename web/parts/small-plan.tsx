import { memo, useMemo } from "react";
import { type Frame, planLayout } from "../../core/index.js";

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
        {layout.plates
          .filter((plate) => !plate.column || plate.kind === "hub")
          .slice(0, most)
          .map((plate) => (
            <rect
              key={`${plate.parent} ${plate.id}`}
              x={plate.x}
              y={plate.y}
              width={plate.width}
              height={plate.height}
              rx={5}
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
          <rect
            key={strip.stack}
            x={strip.x}
            y={strip.y}
            width={strip.width}
            height={strip.height}
            rx={5}
            fill="var(--saffron-soft)"
            stroke="var(--saffron)"
          />
        ))}
        {layout.cards.slice(0, most).map((card) => (
          <g key={`${card.parent} ${card.id}`}>
            <rect
              x={card.x}
              y={card.y}
              width={card.width}
              height={card.height}
              rx={5}
              fill={isFresh(card.id) ? "var(--petrol-soft)" : "var(--plate-2)"}
              stroke={isFresh(card.id) ? "var(--petrol)" : undefined}
            />
            {card.picture && (
              <path
                d={`M${card.x + 12} ${card.y + 20}h${card.width - 40}M${card.x + 12} ${card.y + 46}h${card.width - 24}M${card.x + 12} ${card.y + 64}h${card.width - 34}`}
                stroke="var(--rule)"
                strokeWidth={7}
              />
            )}
          </g>
        ))}
      </g>
    </svg>
  );
});
