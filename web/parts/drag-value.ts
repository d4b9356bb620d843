import { type KeyboardEvent, type PointerEvent, useRef } from "react";
import { followPointer } from "./follow-pointer.js";

export interface DragValueOptions {
  /** What is dragged as it stands. */
  value: number;
  /** How much it changes by a px of the pointer: negative where it grows the other way. */
  perPx: number;
  axis: "x" | "y";
  least: number;
  most: number;
  /** How far an arrow moves it, and with Shift. */
  steps: readonly [number, number];
  /** Told on the way, at most once a painted frame. */
  onChange: (value: number) => void;
  /** Told where it was let go, or put by an arrow; what is let go of by Escape stands where it stood. The same as `onChange` where it is absent. */
  onPut?: (value: number) => void;
  /** Told as a drag begins and ends. */
  onHold?: (isHeld: boolean) => void;
}

const arrows = { x: ["ArrowRight", "ArrowLeft"], y: ["ArrowDown", "ArrowUp"] } as const;

/** An edge or a mark that is dragged, or moved by arrows: the one way to do so for all of them. */
export const useDragValue = (options: DragValueOptions) => {
  const latest = useRef(options);
  latest.current = options;
  const within = (value: number): number =>
    Math.round(Math.min(latest.current.most, Math.max(latest.current.least, value)));
  const put = (value: number) => (latest.current.onPut ?? latest.current.onChange)(value);

  const onPointerDown = (event: PointerEvent<HTMLElement>): void => {
    if (event.button !== 0) return;
    event.preventDefault();
    event.currentTarget.focus();
    const { value, perPx, axis, onHold } = latest.current;
    const from = axis === "x" ? event.clientX : event.clientY;
    let to = value;
    let due: number | null = null;
    onHold?.(true);
    followPointer(
      (moved) => {
        to = within(value + ((axis === "x" ? moved.clientX : moved.clientY) - from) * perPx);
        due ??= requestAnimationFrame(() => {
          due = null;
          latest.current.onChange(to);
        });
      },
      (isLetGo) => {
        if (due !== null) cancelAnimationFrame(due);
        // a press that moved nothing puts nothing
        if (to !== value) {
          if (!isLetGo) latest.current.onChange(value);
          else put(to);
        }
        onHold?.(false);
      },
    );
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    const { axis, perPx, value, steps } = latest.current;
    const [on, back] = arrows[axis];
    const by = event.key === on ? 1 : event.key === back ? -1 : 0;
    if (by === 0 || event.altKey || event.ctrlKey || event.metaKey) return;
    event.preventDefault();
    event.stopPropagation();
    put(within(value + by * Math.sign(perPx) * steps[event.shiftKey ? 1 : 0]));
  };
  return { onPointerDown, onKeyDown };
};
