import type { KeyboardEvent, PointerEvent } from "react";
import { followPointer } from "../../parts/follow-pointer.js";

export interface LedgeProps {
  /** px. */
  height: number;
  onChange: (height: number) => void;
}

const least = 140;
const most = (): number => Math.max(least, innerHeight - 220);
const within = (height: number): number => Math.min(most(), Math.max(least, Math.round(height)));

/** The upper edge of the bench, by which it is made higher or lower: with the pointer, or with the arrows. */
export function Ledge({ height, onChange }: LedgeProps) {
  const drag = (event: PointerEvent<HTMLDivElement>) => {
    if (event.button !== 0) return;
    event.preventDefault();
    event.currentTarget.focus();
    const from = event.clientY;
    followPointer((moved) => onChange(within(height + from - moved.clientY)));
  };
  const keys = (event: KeyboardEvent) => {
    const step = event.key === "ArrowUp" ? 24 : event.key === "ArrowDown" ? -24 : 0;
    if (step === 0) return;
    event.preventDefault();
    event.stopPropagation();
    onChange(within(height + step));
  };
  return (
    <div
      role="separator"
      aria-orientation="horizontal"
      aria-label="Height of the bench"
      aria-valuenow={height}
      aria-valuemin={least}
      aria-valuemax={most()}
      tabIndex={0}
      className="absolute inset-x-0 -top-1.5 z-30 h-2.5 cursor-row-resize touch-none"
      onPointerDown={drag}
      onKeyDown={keys}
    >
      <span className="mx-auto mt-1 block h-[3px] w-10 rounded-full bg-ink" />
    </div>
  );
}
