import { DragEdge } from "../../../parts/drag-edge.js";

export interface LedgeProps {
  /** px. */
  height: number;
  onChange: (height: number) => void;
}

const least = 140;
const most = (): number => Math.max(least, innerHeight - 220);

/** The upper edge of the bench, by which it is made higher or lower: with the pointer, or with the arrows. */
export function Ledge({ height, onChange }: LedgeProps) {
  return (
    <DragEdge
      label="Height of the bench"
      className="absolute inset-x-0 -top-1.5 z-30 h-2.5 cursor-row-resize touch-none"
      axis="y"
      value={height}
      perPx={-1}
      least={least}
      most={most()}
      steps={[24, 4]}
      onChange={onChange}
    >
      <span className="mx-auto mt-1 block h-[3px] w-10 rounded-full bg-ink" />
    </DragEdge>
  );
}
