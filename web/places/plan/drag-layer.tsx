import { useSyncExternalStore } from "react";
import { type Frame, plainName } from "../../../core/index.js";
import { DragChip } from "./drag-chip.js";
import { sayDrop } from "./drop.js";
import type { Dragging } from "./use-drag.js";
import { pullTitle, type Pulling } from "./use-pull.js";

export interface DragLayerProps {
  frame: Frame;
  dragging: Dragging;
  pulling: Pulling;
  /** How far right there is room for a chip, px of the plan. */
  room: () => number;
}

/** What is on its way by the pointer, over the plan: where it would go, and what that would do. */
export function DragLayer({ frame, dragging, pulling, room }: DragLayerProps) {
  const { drag } = useSyncExternalStore(dragging.subscribe, dragging.get);
  const { pull } = useSyncExternalStore(pulling.subscribe, pulling.get);
  const refused = drag !== null && drag.look.consequences.faults.length > 0;
  return (
    <>
      {drag && (
        <>
          <div
            className={`pointer-events-none absolute z-20 rounded-md border-2 ${refused ? "border-clay bg-clay/10" : "border-petrol bg-petrol/10"}`}
            style={{
              left: drag.place.area.x,
              top: drag.place.area.y,
              width: drag.place.area.width,
              height: drag.place.area.height,
            }}
          />
          <DragChip
            x={drag.x}
            y={drag.y}
            title={plainName(frame, drag.chosen.id)}
            left={drag.x > room()}
            says={sayDrop(frame, drag.place, drag.look)}
            refused={refused}
          />
        </>
      )}
      {pull && (
        <>
          <svg className="pointer-events-none absolute inset-0 z-20 size-full overflow-visible" aria-hidden>
            <line
              x1={pull.start.x}
              y1={pull.start.y}
              x2={pull.at.x}
              y2={pull.at.y}
              stroke="var(--petrol)"
              strokeWidth={2}
              strokeDasharray="5 4"
            />
          </svg>
          {pull.target && (
            <div
              className={`pointer-events-none absolute z-20 rounded-md border-2 ${pull.refused ? "border-clay" : "border-petrol bg-petrol/10"}`}
              style={{
                left: pull.target.x,
                top: pull.target.y,
                width: pull.target.width,
                height: pull.target.height,
              }}
            />
          )}
          <DragChip
            x={pull.at.x}
            y={pull.at.y}
            title={pullTitle(frame, pull)}
            left={pull.at.x > room()}
            says={pull.says}
            refused={pull.refused}
          />
        </>
      )}
    </>
  );
}
