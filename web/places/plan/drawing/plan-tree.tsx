import { type PointerEvent as ReactPointerEvent, useMemo } from "react";
import { type Frame, placesOf, type View } from "../../../../core/index.js";
import { usePoints } from "../../../app/use-points.js";
import { useDark } from "../../../app/theme.js";
import { Part } from "../../../parts/part.js";
import type { Adding } from "../acting/use-adding.js";
import { DragLayer } from "../acting/drag-layer.js";
import { useSteadyHands } from "./drawing-hands.js";
import { PegMarks } from "./peg-marks.js";
import { pictureStates } from "../../../device/picture-states.js";
import { PlanDrawing } from "./plan-drawing.js";
import { useDeviceSpot } from "./use-device-spot.js";
import type { Filing } from "../acting/use-file-drop.js";
import type { Dragging } from "../acting/use-drag.js";
import type { Folds } from "./use-folds.js";
import { usePegs } from "./use-pegs.js";
import type { Picking } from "../acting/use-picking.js";
import type { Pulling } from "../acting/use-pull.js";
import type { Reach } from "./use-reach.js";
import type { Renaming } from "../acting/use-renaming.js";
import type { Sight } from "./use-sight.js";
import { margin, type Stage } from "./use-stage.js";
import type { Point } from "./under.js";

export interface PlanTreeProps {
  frame: Frame;
  /** The frame that pictures are of: it may be one change behind. */
  pictured: Frame;
  view: View;
  stage: Stage;
  sight: Sight;
  picking: Picking;
  renaming: Renaming;
  folds: Folds;
  reach: Reach | null;
  dragging: Dragging;
  /** What is on its way by the pointer. */
  dragged: string | null;
  pulling: Pulling;
  filing: Filing;
  onPull: (event: ReactPointerEvent, from: string, start: Point) => void;
  adding: Adding;
}

/** How much room a chip beside the pointer needs, px of the screen. */
const chip = 290;

/** The plan as a tree: its drawing, the pegs of what is chosen, and what is on its way by the pointer. */
export function PlanTree(props: PlanTreeProps) {
  const { frame, stage, picking, dragged } = props;
  const { layout, zoom, scroller, size, plan } = stage;
  const { chosen, others } = picking;
  const { pegs, pullFrom } = usePegs(frame, layout, chosen, others.length === 0 && !dragged);
  if (!layout) return null;
  return (
    <div
      ref={plan}
      role="tree"
      aria-multiselectable
      aria-label={`Plan of ${frame.name}`}
      className="absolute select-none"
      style={{
        left: margin,
        top: margin,
        width: layout.width,
        height: layout.height + margin,
        transform: zoom === 1 ? undefined : `scale(${zoom})`,
        transformOrigin: "0 0",
      }}
    >
      <Part name="The drawing of the plan" of={frame} className="max-w-140">
        <Drawing {...props} />
      </Part>
      <PegMarks
        frame={frame}
        pegs={pegs}
        pull={pullFrom}
        onPull={(event) => chosen && pullFrom && props.onPull(event, chosen.id, pullFrom)}
      />
      <DragLayer
        frame={frame}
        dragging={props.dragging}
        pulling={props.pulling}
        filing={props.filing}
        room={() => ((scroller.current?.scrollLeft ?? 0) + (size?.width ?? Infinity) - chip) / zoom}
      />
    </div>
  );
}

function Drawing(props: PlanTreeProps) {
  const { frame, pictured, view, stage, sight, picking, renaming, folds, reach, dragged, adding } = props;
  const { chosen, isChosen, select } = picking;
  const dark = useDark();
  const points = usePoints(pictured, view);
  const shown = useMemo(() => pictureStates(points), [points]);
  const device = useDeviceSpot(frame, view);
  const hands = useSteadyHands({
    rename: (_, title) => chosen && adding.rename(chosen, title.trim().slice(0, 200)),
    renamed: adding.named,
    fold: (id, folded) => {
      if (folded && chosen) select({ id, parent: placesOf(frame, id)[0] ?? null });
      folds.fold([id], folded);
    },
  });
  if (!stage.layout) return null;
  return (
    <PlanDrawing
      frame={frame}
      pictured={pictured}
      layout={stage.layout}
      view={view}
      dark={dark}
      chosen={chosen}
      isChosen={isChosen}
      isFar={sight.isFar}
      inSight={sight.inSight}
      shown={shown}
      device={device}
      dragged={dragged}
      reached={reach?.nodes ?? null}
      isRenaming={renaming.is}
      hands={hands}
    />
  );
}
