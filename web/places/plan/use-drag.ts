import { type PointerEvent as ReactPointerEvent, useRef, useState } from "react";
import type { Frame, PlanLayout, View } from "../../../core/index.js";
import type { Chosen } from "../../app/place.js";
import { type DropLook, type DropPlace, lookAtDrop, placeAt } from "./drop.js";

/** Something on its way to another plate. */
export interface Drag {
  chosen: Chosen;
  /** Where the pointer is on the plan, px. */
  x: number;
  y: number;
  place: DropPlace;
  look: DropLook;
}

interface Options {
  frame: Frame;
  layout: PlanLayout | null;
  view: View;
  /** Screen px for each px of the plan. */
  zoom: number;
  /** The plan's own element: the pointer is measured from its corner. */
  plan: () => HTMLElement | null;
  onDrop: (look: DropLook) => void;
}

const threshold = 5;

/** Dragging by the pointer. What a drop would do is worked out whenever it would go somewhere else. */
export const useDrag = ({ frame, layout, view, zoom, plan, onDrop }: Options) => {
  const [drag, setDrag] = useState<Drag | null>(null);
  const now = useRef<Drag | null>(null);
  const show = (next: Drag | null) => {
    now.current = next;
    setDrag(next);
  };

  const begin = (event: ReactPointerEvent, chosen: Chosen): void => {
    if (event.button !== 0 || !layout || chosen.id === frame.root) return;
    const from = { x: event.clientX, y: event.clientY };
    const move = (moved: PointerEvent) => {
      const far = Math.hypot(moved.clientX - from.x, moved.clientY - from.y) > threshold;
      const corner = plan()?.getBoundingClientRect();
      if ((!far && !now.current) || !corner) return;
      const point = { x: (moved.clientX - corner.left) / zoom, y: (moved.clientY - corner.top) / zoom };
      const place = placeAt(frame, layout, chosen.id, point);
      const same = now.current && now.current.place.to === place.to && now.current.place.after === place.after;
      show({ chosen, ...point, place, look: same ? now.current!.look : lookAtDrop(frame, view, chosen, place) });
    };
    const end = (done: PointerEvent | KeyboardEvent) => {
      if (done instanceof KeyboardEvent && done.key !== "Escape") return;
      removeEventListener("pointermove", move);
      removeEventListener("pointerup", end);
      removeEventListener("pointercancel", end);
      removeEventListener("keydown", end);
      const dropped = now.current;
      show(null);
      if (dropped && done.type === "pointerup" && dropped.look.consequences.faults.length === 0) onDrop(dropped.look);
    };
    addEventListener("pointermove", move);
    addEventListener("pointerup", end);
    addEventListener("pointercancel", end);
    addEventListener("keydown", end);
  };
  return { drag, begin };
};
