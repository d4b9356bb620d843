import { type RefCallback, type RefObject, useCallback, useMemo, useRef } from "react";
import { fitPlan, type Frame, type PlanLayout, type PlanShows, type View } from "../../../../core/index.js";
import { type Size, useSize } from "../../../parts/use-size.js";
import type { Point, Rect } from "./under.js";
import type { Folds } from "./use-folds.js";
import { useZoom } from "./use-zoom.js";

/** Around the plan, px. */
export const margin = 16;

/** What the plan is drawn on: the element that scrolls, how large the plan is in it, and how it is zoomed. */
export interface Stage {
  /** The ref of the element that scrolls. */
  room: RefCallback<HTMLDivElement>;
  scroller: RefObject<HTMLDivElement | null>;
  /** The plan's own element: the pointer is measured from its corner. */
  plan: RefObject<HTMLDivElement | null>;
  /** Of what scrolls, px; null until it was measured. */
  size: Size | null;
  layout: PlanLayout | null;
  /** Screen px for each px of the plan. */
  zoom: number;
  zoomBy: (factor: number) => void;
  zoomTo: (zoom: number) => void;
  zoomToBox: (box: Rect) => void;
  /** As much of the plan as there is, at once. */
  fit: () => void;
  /** Where the pointer is on the plan, px of it; null while there is none. */
  pointOf: (event: { clientX: number; clientY: number }) => Point | null;
}

/** What the bench takes of the room's height while it is as high as it is at first, px: how high it is made changes nothing on the plan. */
const benchTakes = 300;

export interface StageOptions {
  frame: Frame;
  view: View;
  folds: Folds;
  shows: PlanShows;
  /** The height of the plan and of the bench under it, px; null while it was not measured, or the bench stands beside it. */
  whole: number | null;
}

export const useStage = ({ frame, view, folds: { isFolded }, shows, whole }: StageOptions): Stage => {
  const [measured, size] = useSize();
  const plan = useRef<HTMLDivElement>(null);
  const scroller = useRef<HTMLDivElement | null>(null);
  const room = useCallback(
    (element: HTMLDivElement | null) => {
      scroller.current = element;
      return measured(element);
    },
    [measured],
  );
  const { zoom, zoomBy, zoomTo } = useZoom(scroller);
  const aspect = view.height / view.width;
  const height = whole === null ? (size?.height ?? 0) : Math.max(200, whole - benchTakes);
  const layout = useMemo(() => {
    if (!size) return null;
    const space = { width: size.width - 2 * margin, height: height - 2 * margin };
    return fitPlan(frame, space, aspect, { view, folded: isFolded, shows });
  }, [frame, size?.width, height, aspect, shows, view, isFolded]);
  return {
    room,
    scroller,
    plan,
    size,
    layout,
    zoom,
    zoomBy,
    zoomTo,
    zoomToBox: (box) => {
      if (!size) return;
      const to = Math.min(1.6, (size.width - 60) / box.width, (size.height - 60) / box.height);
      zoomTo(to, { x: box.x + box.width / 2 + margin / to, y: box.y + box.height / 2 + margin / to });
    },
    fit: () => {
      const space = { width: (size?.width ?? 0) - 2 * margin, height: (size?.height ?? 0) - 2 * margin };
      zoomTo(size && layout ? Math.min(1, space.width / layout.width, space.height / layout.height) : 1);
    },
    pointOf: ({ clientX, clientY }) => {
      const corner = plan.current?.getBoundingClientRect();
      return corner ? { x: (clientX - corner.left) / zoom, y: (clientY - corner.top) / zoom } : null;
    },
  };
};
