import { DragEdge, EdgeGrip } from "../../parts/drag-edge.js";

/** How narrow and wide a device may be made, px. */
export const leastWidth = 240;
export const mostWidth = 2000;

export interface EdgeHandleProps {
  name: string;
  width: number;
  scale: number;
  onWiden: (width: number) => void;
  /** Told as a drag begins and ends. */
  onHold: (isHeld: boolean) => void;
}

/** The edge of a device: dragged, or moved by arrows, it makes the device wider or narrower. */
export function EdgeHandle({ name, width, scale, onWiden, onHold }: EdgeHandleProps) {
  return (
    <DragEdge
      label={`Width of ${name}`}
      title="Drag to any width; arrows move it by 20 px, with Shift by 1"
      className="group absolute inset-y-0 -right-3.5 grid w-4.5 cursor-ew-resize touch-none place-items-center"
      axis="x"
      value={width}
      perPx={1 / scale}
      least={leastWidth}
      most={mostWidth}
      steps={[20, 1]}
      onChange={onWiden}
      onHold={onHold}
    >
      <EdgeGrip />
    </DragEdge>
  );
}
