import { type PointerEvent as ReactPointerEvent, useMemo, useRef } from "react";
import type { Frame, PlanLayout, View } from "../../../core/index.js";
import type { Chosen } from "../../app/place.js";
import { External } from "../../data/external.js";
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

/** What is dragged; kept outside React, so that a move of the pointer draws the chip anew and not the plan. */
export type Dragging = External<{ drag: Drag | null }>;

/** Dragging by the pointer. What a drop would do is worked out whenever it would go somewhere else. */
export const useDrag = (options: Options) => {
  const dragging = useMemo<Dragging>(() => new External<{ drag: Drag | null }>({ drag: null }), []);
  const latest = useRef(options);
  latest.current = options;
  const show = (drag: Drag | null) => dragging.set({ drag });

  const begin = (event: ReactPointerEvent, chosen: Chosen): void => {
    const { frame, layout, view, zoom, plan } = latest.current;
    if (event.button !== 0 || !layout || chosen.id === frame.root) return;
    const from = { x: event.clientX, y: event.clientY };
    const move = (moved: PointerEvent) => {
      const far = Math.hypot(moved.clientX - from.x, moved.clientY - from.y) > threshold;
      const corner = plan()?.getBoundingClientRect();
      if ((!far && !dragging.get().drag) || !corner) return;
      const point = { x: (moved.clientX - corner.left) / zoom, y: (moved.clientY - corner.top) / zoom };
      const place = placeAt(frame, layout, chosen.id, point);
      const before = dragging.get().drag;
      const same = before && before.place.to === place.to && before.place.after === place.after;
      show({ chosen, ...point, place, look: same ? before.look : lookAtDrop(frame, view, chosen, place) });
    };
    const end = (done: PointerEvent | KeyboardEvent) => {
      if (done instanceof KeyboardEvent && done.key !== "Escape") return;
      removeEventListener("pointermove", move);
      removeEventListener("pointerup", end);
      removeEventListener("pointercancel", end);
      removeEventListener("keydown", end);
      const dropped = dragging.get().drag;
      show(null);
      if (dropped && done.type === "pointerup" && dropped.look.consequences.faults.length === 0)
        latest.current.onDrop(dropped.look);
    };
    addEventListener("pointermove", move);
    addEventListener("pointerup", end);
    addEventListener("pointercancel", end);
    addEventListener("keydown", end);
  };
  return { dragging, begin };
};
