import { type PointerEvent as ReactPointerEvent, useMemo, useRef } from "react";
import type { Frame, View } from "../../../../core/index.js";
import { useOpenFrame } from "../../../app/open-frame.js";
import type { Chosen } from "../../../app/place.js";
import { External } from "../../../data/external.js";
import { pointsIn } from "../../../data/points.js";
import { followWith } from "../../../parts/follow-pointer.js";
import { loadable } from "../../../parts/loadable.js";
import type { DropLook, DropPlace } from "./drop.js";
import type { Stage } from "../drawing/use-stage.js";

const drops = loadable(() => import("./drop.js"));

/** Something on its way to another plate. */
export interface Drag {
  chosen: Chosen;
  /** Where the pointer is on the plan, px. */
  x: number;
  y: number;
  place: DropPlace;
  look: DropLook;
  /** What the drop would do, in words. */
  says: readonly string[];
}

interface Options {
  frame: Frame;
  view: View;
  stage: Stage;
  onDrop: (look: DropLook) => void;
}

const threshold = 5;

/** What is dragged; kept outside React, so that a move of the pointer draws the chip anew and not the plan. */
export type Dragging = External<{ drag: Drag | null }>;

/** Dragging by the pointer. What a drop would do is worked out whenever it would go somewhere else. */
export const useDrag = (options: Options) => {
  const dragging = useMemo<Dragging>(() => new External<{ drag: Drag | null }>({ drag: null }), []);
  const { ways } = useOpenFrame();
  const latest = useRef(options);
  latest.current = options;
  const show = (drag: Drag | null) => dragging.set({ drag });

  const begin = (event: ReactPointerEvent, chosen: Chosen): void => {
    const { frame, view, stage } = latest.current;
    const { layout } = stage;
    if (event.button !== 0 || !layout || chosen.id === frame.root) return;
    const from = { x: event.clientX, y: event.clientY };
    const move = (moved: PointerEvent, { placeAt, lookAtDrop, sayDrop }: Awaited<ReturnType<typeof drops.load>>) => {
      const far = Math.hypot(moved.clientX - from.x, moved.clientY - from.y) > threshold;
      const point = stage.pointOf(moved);
      if ((!far && !dragging.get().drag) || !point) return;
      const place = placeAt(frame, layout, chosen.id, point);
      const before = dragging.get().drag;
      if (before && before.place.to === place.to && before.place.after === place.after)
        return show({ ...before, ...point, place });
      const look = lookAtDrop(pointsIn(ways, frame, view), chosen, place);
      show({ chosen, ...point, place, look, says: sayDrop(frame, place, look) });
    };
    followWith(drops, move, (isLetGo) => {
      const dropped = dragging.get().drag;
      show(null);
      if (dropped && isLetGo && dropped.look.consequences.faults.length === 0) latest.current.onDrop(dropped.look);
    });
  };
  return { dragging, begin };
};
