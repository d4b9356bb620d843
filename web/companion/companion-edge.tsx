import { DragEdge, EdgeGrip } from "../parts/drag-edge.js";
import type { useCompanionWidth } from "./companion-size.js";

/** The edge of the companion: dragged or moved by arrows it makes it wider; a double press, or Enter, swaps between narrow and half the window. */
export function CompanionEdge({ width, least, most, set, swap }: ReturnType<typeof useCompanionWidth>) {
  return (
    <DragEdge
      label="Width of the companion"
      title="Drag to make the device larger; a double press swaps between narrow and half the window"
      className="group absolute inset-y-0 -left-1 z-20 grid w-2.5 cursor-ew-resize touch-none place-items-center"
      axis="x"
      value={width}
      perPx={-1}
      least={least}
      most={most}
      steps={[24, 4]}
      onChange={set}
      onDoubleClick={swap}
      onKey={({ key, altKey }) => {
        if (key !== "Enter" || altKey) return false;
        swap();
        return true;
      }}
    >
      <EdgeGrip />
    </DragEdge>
  );
}
