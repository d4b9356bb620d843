import { useRef, useState } from "react";
import { useEditing, useLive } from "../../app/open-frame.js";
import type { Chosen } from "../../app/place.js";
import { BenchFoot, type Tool } from "./bench/bench-foot.js";
import { useFollowing } from "./bench/use-following.js";
import { useIsBeside } from "./bench/bench-shape.js";
import { PlanTree } from "./drawing/plan-tree.js";
import { pressOn } from "./acting/press.js";
import { PlanLine } from "./drawing/plan-line.js";
import { useAdding } from "./acting/use-adding.js";
import { useTakingOut } from "./acting/use-taking-out.js";
import { useClipboard } from "./acting/use-clipboard.js";
import { useFileDrop } from "./acting/use-file-drop.js";
import { useFolds } from "./drawing/use-folds.js";
import { useIntoSight } from "./drawing/use-into-sight.js";
import { useMakeHere } from "./acting/use-make.js";
import { useOnTheWay } from "./acting/use-on-the-way.js";
import { usePicking } from "./acting/use-picking.js";
import { usePlanKeys } from "./acting/use-plan-keys.js";
import { useReached } from "./drawing/use-reach.js";
import { useRenaming } from "./acting/use-renaming.js";
import { useSight } from "./drawing/use-sight.js";
import { useStage } from "./drawing/use-stage.js";
import { useShows } from "./drawing/use-shows.js";
import { beside } from "../../parts/later.js";
import { useSize } from "../../parts/use-size.js";

// a plan is there to be worked before the small map beside it
const smallMap = beside(
  () => import("./drawing/small-map.js"),
  () => null,
);

interface MapBesideProps {
  stage: ReturnType<typeof useStage>;
  sight: ReturnType<typeof useSight>;
  chosen: Chosen | null;
}

/** The small map, where the plan is larger than its room. */
function MapBeside({ stage, sight, chosen }: MapBesideProps) {
  if (!stage.layout || !sight.part) return null;
  return <smallMap.Part layout={stage.layout} chosen={chosen} sight={sight.part} onGo={sight.goTo} />;
}

/** The structure: plates in plates, worked by mouse and by keys, with what is chosen on the bench below. */
export function Plan() {
  const frame = useEditing((edited) => edited.frame);
  const view = useLive((live) => live.device.view);
  const picking = usePicking(frame);
  const { chosen, others } = picking;
  const folds = useFolds(frame, chosen?.id ?? null);
  const isBeside = useIsBeside();
  const [measured, whole] = useSize();
  const [shows, setShows] = useShows();
  const stage = useStage({ frame, view, folds, shows, whole: isBeside ? null : (whole?.height ?? null) });
  const sight = useSight(stage);
  const takesFocus = useRef(false);
  const isPressed = useRef(false);
  const renaming = useRenaming(chosen, takesFocus);
  const [tool, setTool] = useState<Tool | null>(null);
  // pictures and the bench follow when the plan itself and the device are painted
  const { deferred, frame: followed, touched } = useFollowing(frame);
  // what is chosen has just been made, or has another id: the bench cannot wait, or a field on it would lose the focus
  const onBench = chosen && !Object.hasOwn(followed.nodes, chosen.id) ? frame : followed;
  const reached = useReached(deferred, view);

  const make = useMakeHere(takesFocus);
  const adding = useAdding(make, renaming);
  const taking = useTakingOut(frame, make);
  const { onDrag, drawn } = useOnTheWay({ frame, view, stage, make });
  const { filing, ...fileHands } = useFileDrop({ stage, make });
  useIntoSight(stage, { chosen, takesFocus, isPressed, isRenaming: renaming.is });
  const onKeyDown = usePlanKeys({ frame, picking, stage, folds, renaming, adding, taking, takesFocus, make, setTool });
  useClipboard({ frame, chosen, others, make });
  const shown = { frame, pictured: deferred, view, stage, sight, picking, renaming, folds, reach: reached.reach };
  const line = { frame, reached, shows, onShows: setShows, zoom: stage.zoom, onZoom: stage.zoomTo, onFit: stage.fit };
  return (
    <main ref={measured} className={`relative flex min-w-0 grow ${isBeside ? "" : "flex-col"}`}>
      <div className="relative flex min-h-0 min-w-0 grow flex-col">
        <PlanLine {...line} />
        <div
          ref={stage.room}
          className="relative min-h-0 min-w-0 grow scroll-p-2 overflow-auto"
          onKeyDown={onKeyDown}
          {...fileHands}
          onScroll={sight.onScroll}
          onPointerDown={pressOn({ stage, sight, picking, renaming, isPressed, onDrag })}
          onDoubleClick={() => chosen && renaming.set(true)}
        >
          <PlanTree {...shown} {...drawn} filing={filing} adding={adding} />
        </div>
        <MapBeside stage={stage} sight={sight} chosen={chosen} />
      </div>
      <BenchFoot
        {...{ tool, touched, make, adding, taking, chosen, others, view }}
        onTool={setTool}
        frame={onBench}
        isPictured={stage.layout !== null && !stage.layout.cards.some((card) => card.picture)}
        onChoose={(next, also) => picking.select(next, false, also)}
      />
    </main>
  );
}
