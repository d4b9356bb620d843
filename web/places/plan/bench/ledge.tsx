import { DragEdge, EdgeGrip } from "../../../parts/drag-edge.js";
import { leastBench, setBenchSize } from "./bench-shape.js";

/** What the plan keeps beside the bench, px. */
const planKeeps = { height: 220, width: 520 };

const most = (side: "height" | "width"): number =>
  Math.max(leastBench[side], (side === "height" ? innerHeight : innerWidth) - planKeeps[side]);

/** The edge of the bench, by which it is made larger or smaller: with the pointer, or with the arrows. */
export function Ledge({ size, isBeside }: { size: number; isBeside: boolean }) {
  const side = isBeside ? "width" : "height";
  return (
    <DragEdge
      label={isBeside ? "Width of the bench" : "Height of the bench"}
      className={
        isBeside
          ? "group absolute inset-y-0 -left-1 z-30 grid w-2.5 cursor-ew-resize touch-none place-items-center"
          : "absolute inset-x-0 -top-1.5 z-30 h-2.5 cursor-row-resize touch-none"
      }
      axis={isBeside ? "x" : "y"}
      value={size}
      perPx={-1}
      least={leastBench[side]}
      most={most(side)}
      steps={[24, 4]}
      onChange={(px) => setBenchSize(side, px)}
    >
      {isBeside ? <EdgeGrip /> : <span className="mx-auto mt-1 block h-[3px] w-10 rounded-full bg-ink" />}
    </DragEdge>
  );
}
