import { useSyncExternalStore } from "react";
import { type Frame, plainName } from "../../../../core/index.js";
import { DragChip } from "./drag-chip.js";
import type { Rect } from "../drawing/under.js";
import type { Drag, Dragging } from "./use-drag.js";
import type { Filing } from "./use-file-drop.js";
import type { Pull } from "./pull-look.js";
import { pullTitle, type Pulling } from "./use-pull.js";

export interface DragLayerProps {
  frame: Frame;
  dragging: Dragging;
  pulling: Pulling;
  filing: Filing;
  /** How far right there is room for a chip, px of the plan. */
  room: () => number;
}

/** What is on its way by the pointer, over the plan: where it would go, and what that would do. */
export function DragLayer({ frame, dragging, pulling, filing, room }: DragLayerProps) {
  const { drag } = useSyncExternalStore(dragging.subscribe, dragging.get);
  const { pull } = useSyncExternalStore(pulling.subscribe, pulling.get);
  const { file } = useSyncExternalStore(filing.subscribe, filing.get);
  return (
    <>
      {drag && <Dragged frame={frame} drag={drag} room={room} />}
      {pull && <Pulled frame={frame} pull={pull} room={room} />}
      {file?.area && <Target area={file.area} look="border-petrol bg-petrol/10" />}
      {file && <DragChip {...file} title="A drawing" left={file.x > room()} says={[file.says]} refused={!file.area} />}
    </>
  );
}

/** Where it would go. */
function Target({ area: { x, y, width, height }, look }: { area: Rect; look: string }) {
  return (
    <div
      className={`pointer-events-none absolute z-20 rounded-md border-2 ${look}`}
      style={{ left: x, top: y, width, height }}
    />
  );
}

interface DraggedProps extends Pick<DragLayerProps, "frame" | "room"> {
  drag: Drag;
}

function Dragged({ frame, drag, room }: DraggedProps) {
  const refused = drag.look.consequences.faults.length > 0;
  return (
    <>
      <Target area={drag.place.area} look={refused ? "border-clay bg-clay/10" : "border-petrol bg-petrol/10"} />
      <DragChip
        x={drag.x}
        y={drag.y}
        title={plainName(frame, drag.chosen.id)}
        left={drag.x > room()}
        says={drag.says}
        refused={refused}
      />
    </>
  );
}

interface PulledProps extends Pick<DragLayerProps, "frame" | "room"> {
  pull: Pull;
}

function Pulled({ frame, pull, room }: PulledProps) {
  const { start, at, target, refused } = pull;
  return (
    <>
      <svg className="pointer-events-none absolute inset-0 z-20 size-full overflow-visible" aria-hidden>
        <line
          x1={start.x}
          y1={start.y}
          x2={at.x}
          y2={at.y}
          stroke="var(--petrol)"
          strokeWidth={2}
          strokeDasharray="5 4"
        />
      </svg>
      {target && <Target area={target} look={refused ? "border-clay" : "border-petrol bg-petrol/10"} />}
      <DragChip
        x={at.x}
        y={at.y}
        title={pullTitle(frame, pull)}
        left={at.x > room()}
        says={pull.says}
        refused={refused}
      />
    </>
  );
}
