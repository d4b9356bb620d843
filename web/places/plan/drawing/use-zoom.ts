import {
  type PointerEvent as ReactPointerEvent,
  type RefObject,
  useCallback,
  useLayoutEffect,
  useRef,
  useState,
} from "react";
import { sure } from "../../../../core/index.js";
import { followPointer } from "../../../parts/follow-pointer.js";

const least = 0.12;
const most = 2;
/** Below this nothing on a card can be read: the plan is drawn as shapes alone. */
export const farZoom = 0.3;
/** Below this a title can hardly be read. */
export const manyZoom = 0.65;

const within = (zoom: number): number => Math.min(most, Math.max(least, zoom));

/** Zooming the plan, about the pointer or the middle of what is in sight. */
export const useZoom = (scroller: RefObject<HTMLDivElement | null>) => {
  const [zoom, setZoom] = useState(1);
  // where the content has to be scrolled to, once it is drawn at the new zoom
  const kept = useRef<{ left: number; top: number } | null>(null);
  const middle = useRef<{ x: number; y: number } | null>(null);
  const about = useCallback(
    (next: (now: number) => number, at?: { x: number; y: number }) =>
      setZoom((now) => {
        const to = within(next(now));
        const element = scroller.current;
        if (element && to !== now) {
          const { x, y } = at ?? { x: element.clientWidth / 2, y: element.clientHeight / 2 };
          const grows = to / now;
          kept.current = { left: (element.scrollLeft + x) * grows - x, top: (element.scrollTop + y) * grows - y };
        }
        return to;
      }),
    [scroller],
  );
  const bringToMiddle = (scale: number) => {
    const element = scroller.current;
    if (element && middle.current)
      element.scrollTo({
        left: middle.current.x * scale - element.clientWidth / 2,
        top: middle.current.y * scale - element.clientHeight / 2,
      });
    middle.current = null;
  };
  useLayoutEffect(() => {
    const element = scroller.current;
    if (element && kept.current) element.scrollTo(kept.current);
    kept.current = null;
    bringToMiddle(zoom);
  }, [zoom, scroller]);
  useLayoutEffect(() => {
    const element = scroller.current;
    // the page's own zoom has to be held back, which a passive listener cannot do
    const wheel = (event: WheelEvent) => {
      if (!event.ctrlKey && !event.metaKey) return;
      event.preventDefault();
      const corner = sure(element).getBoundingClientRect();
      const at = { x: event.clientX - corner.left, y: event.clientY - corner.top };
      about((now) => now * Math.exp(-event.deltaY * 0.0022), at);
    };
    element?.addEventListener("wheel", wheel, { passive: false });
    return () => element?.removeEventListener("wheel", wheel);
  }, [about, scroller]);
  return {
    zoom,
    zoomBy: (factor: number) => about((now) => now * factor),
    /** To a zoom; with a point of the plan (its px) that comes into the middle. */
    zoomTo: (to: number, at?: { x: number; y: number }) => {
      middle.current = at ?? null;
      about(() => to);
      if (within(to) === zoom) bringToMiddle(zoom);
    },
  };
};

/** Moves what is in sight with the pointer, from the empty ground of the plan. */
export const panFrom = (event: ReactPointerEvent, element: HTMLElement): void => {
  if (event.button > 1) return;
  const from = { x: event.clientX, y: event.clientY, left: element.scrollLeft, top: element.scrollTop };
  followPointer((moved) =>
    element.scrollTo({ left: from.left + from.x - moved.clientX, top: from.top + from.y - moved.clientY }),
  );
};
