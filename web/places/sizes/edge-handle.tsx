import { type KeyboardEvent, type PointerEvent, useRef } from "react";
import { followPointer } from "../../parts/follow-pointer.js";

/** How narrow and wide a device may be made, px. */
export const leastWidth = 240;
export const mostWidth = 2000;

const within = (width: number): number => Math.round(Math.min(mostWidth, Math.max(leastWidth, width)));

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
  const due = useRef<number | null>(null);
  const latest = useRef(onWiden);
  latest.current = onWiden;
  const onPointerDown = (event: PointerEvent<HTMLElement>) => {
    if (event.button !== 0) return;
    event.preventDefault();
    event.currentTarget.focus();
    const from = event.clientX;
    let to = width;
    onHold(true);
    const put = () => {
      due.current = null;
      latest.current(to);
    };
    followPointer(
      (moved) => {
        to = within(width + (moved.clientX - from) / scale);
        due.current ??= requestAnimationFrame(put);
      },
      (isLetGo) => {
        if (due.current !== null) cancelAnimationFrame(due.current);
        due.current = null;
        latest.current(isLetGo ? to : width);
        onHold(false);
      },
    );
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const by = event.key === "ArrowRight" ? 1 : event.key === "ArrowLeft" ? -1 : 0;
    if (by === 0) return;
    event.preventDefault();
    event.stopPropagation();
    onWiden(within(width + by * (event.shiftKey ? 1 : 20)));
  };
  return (
    <div
      role="separator"
      aria-orientation="vertical"
      aria-label={`Width of ${name}`}
      aria-valuenow={width}
      aria-valuemin={leastWidth}
      aria-valuemax={mostWidth}
      tabIndex={0}
      title="Drag to any width; arrows move it by 20 px, with Shift by 1"
      className="group absolute inset-y-0 -right-3.5 grid w-4.5 cursor-ew-resize touch-none place-items-center"
      onPointerDown={onPointerDown}
      onKeyDown={onKeyDown}
    >
      <span className="h-9 w-1.5 rounded-sm border border-field bg-plate-2 group-hover:border-petrol group-hover:bg-petrol" />
    </div>
  );
}
