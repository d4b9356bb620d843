import { memo, type PointerEvent as ReactPointerEvent } from "react";
import type { PlanLayout } from "../../../../core/index.js";
import type { Chosen } from "../../../app/place.js";
import { followPointer } from "../../../parts/follow-pointer.js";
import { outline } from "./far-view.js";
import type { Rect } from "./under.js";

const most = { width: 190, height: 120 };

export interface SmallMapProps {
  layout: PlanLayout;
  chosen: Chosen | null;
  /** What can be seen of the plan, in its own px. */
  sight: Rect;
  /** Brings a point of the plan into the middle of what can be seen. */
  onGo: (x: number, y: number) => void;
}

/** The whole plan, small, with what can be seen of it: pressed or dragged, it goes there. */
export default function SmallMap({ layout, chosen, sight, onGo }: SmallMapProps) {
  const scale = Math.min(most.width / layout.width, most.height / layout.height);
  const own =
    chosen &&
    [...layout.cards, ...layout.teeth, ...layout.plates].find(
      (box) => box.id === chosen.id && box.parent === chosen.parent,
    );
  const go = (event: ReactPointerEvent<HTMLElement>) => {
    event.preventDefault();
    const corner = event.currentTarget.getBoundingClientRect();
    const to = (at: { clientX: number; clientY: number }) =>
      onGo((at.clientX - corner.left) / scale, (at.clientY - corner.top) / scale);
    to(event);
    followPointer(to);
  };
  const held = {
    left: Math.max(0, sight.x) * scale,
    top: Math.max(0, sight.y) * scale,
    width: Math.min(sight.width, layout.width) * scale,
    height: Math.min(sight.height, layout.height) * scale,
  };
  return (
    <div
      role="img"
      aria-label="The whole plan, small"
      data-small-map
      className="absolute right-4 bottom-3 z-20 cursor-move touch-none overflow-hidden rounded-sm border border-ink bg-plate-1/95 shadow-lift"
      onPointerDown={go}
    >
      <Shapes layout={layout} scale={scale} />
      {own && (
        <span
          className="absolute bg-petrol"
          style={{
            left: own.x * scale,
            top: own.y * scale,
            width: Math.max(own.width * scale, 4),
            height: Math.max(own.height * scale, 4),
          }}
        />
      )}
      {/* over the shapes, so that these are not painted anew when it goes */}
      <span className="absolute border-2 border-petrol bg-petrol/12 will-change-transform" style={held} />
    </div>
  );
}

const Shapes = memo(function Shapes({ layout, scale }: { layout: PlanLayout; scale: number }) {
  return (
    <svg
      className="block"
      width={layout.width * scale}
      height={layout.height * scale}
      viewBox={`0 0 ${layout.width} ${layout.height}`}
      aria-hidden
    >
      <path
        d={outline(layout.plates.filter((plate) => !plate.column))}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={1 / scale}
      />
      <path d={outline(layout.covers)} fill="var(--saffron-soft)" />
      <path d={outline(layout.cards)} fill="var(--ink-2)" fillOpacity={0.55} />
    </svg>
  );
});
