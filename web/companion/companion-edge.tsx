import type { KeyboardEvent, PointerEvent } from "react";
import { followPointer } from "../parts/follow-pointer.js";
import type { useCompanionWidth } from "./companion-size.js";

/** The edge of the companion: dragged or moved by arrows it makes it wider; a double press swaps between narrow and half the window. */
export function CompanionEdge({ width, least, most, set, swap }: ReturnType<typeof useCompanionWidth>) {
  const onPointerDown = (event: PointerEvent<HTMLElement>) => {
    if (event.button !== 0) return;
    event.preventDefault();
    event.currentTarget.focus();
    const from = event.clientX;
    let frame: number | null = null;
    let to = width;
    followPointer(
      (moved) => {
        to = width + from - moved.clientX;
        frame ??= requestAnimationFrame(() => {
          frame = null;
          set(to);
        });
      },
      (isLetGo) => {
        if (frame !== null) cancelAnimationFrame(frame);
        if (Math.abs(to - width) > 1 || !isLetGo) set(isLetGo ? to : width);
      },
    );
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const by = { ArrowLeft: 1, ArrowRight: -1 }[event.key];
    if (event.altKey) return;
    if (event.key === "Enter") swap();
    else if (by !== undefined) set(width + by * (event.shiftKey ? 4 : 24));
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    <div
      role="separator"
      aria-orientation="vertical"
      aria-label="Width of the companion"
      aria-valuenow={width}
      aria-valuemin={least}
      aria-valuemax={most}
      tabIndex={0}
      title="Drag to make the device larger; a double press swaps between narrow and half the window"
      className="group absolute inset-y-0 -left-1 z-20 grid w-2.5 cursor-ew-resize touch-none place-items-center"
      onPointerDown={onPointerDown}
      onDoubleClick={swap}
      onKeyDown={onKeyDown}
    >
      <span className="h-10 w-1.5 rounded-sm border border-field bg-plate-2 group-hover:border-petrol group-hover:bg-petrol" />
    </div>
  );
}
