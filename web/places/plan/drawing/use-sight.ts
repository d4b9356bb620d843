import { type UIEvent, useDeferredValue, useMemo, useState } from "react";
import type { Rect } from "./under.js";
import { margin, type Stage } from "./use-stage.js";
import { farZoom, manyZoom } from "./use-zoom.js";

/** What lies this far out of sight is drawn already, px. */
const beyond = 220;
/** It is looked at anew after that much was scrolled, px. */
const coarse = 110;
/** What the small map needs beside itself, px. */
const mapRoom = 300;
/** Cards in sight that are too many to be drawn with what is on them. */
const many = 200;

/** What can be seen of the plan. */
export interface Sight {
  /** Whether something of the plan is to be drawn. */
  inSight: (rect: Rect) => boolean;
  /** From afar, or with very many in sight, what is on a card cannot be read: shapes do. */
  isFar: boolean;
  /** What can be seen, px of the plan, where that is but a part of it; null where it is about all. */
  part: Rect | null;
  onScroll: (event: UIEvent<HTMLElement>) => void;
  /** Brings a point of the plan into the middle of what can be seen. */
  goTo: (x: number, y: number) => void;
}

export const useSight = ({ size, layout, zoom, scroller }: Stage): Sight => {
  const [scroll, setScroll] = useState({ x: 0, y: 0 });
  // what comes into sight is drawn when there is time: scrolling and zooming go on meanwhile
  const sight = useDeferredValue(useMemo(() => ({ ...scroll, zoom }), [scroll, zoom]));
  const inSight = ({ x, y, width, height }: Rect): boolean =>
    !size ||
    (x * sight.zoom < sight.x + size.width + beyond &&
      (x + width) * sight.zoom > sight.x - beyond &&
      y * sight.zoom < sight.y + size.height + beyond &&
      (y + height) * sight.zoom > sight.y - beyond);
  const isMany = () => layout !== null && layout.cards.filter(inSight).length > many;
  const isPartly =
    layout !== null &&
    size !== null &&
    // in a small room the map would cover more than it tells
    size.width > 2 * mapRoom &&
    size.height > mapRoom &&
    (layout.width * zoom > 2 * size.width || layout.height * zoom > 2 * size.height);
  return {
    inSight,
    isFar: sight.zoom < farZoom || (sight.zoom < manyZoom && isMany()),
    part: isPartly
      ? {
          x: (scroll.x - margin) / zoom,
          y: (scroll.y - margin) / zoom,
          width: size.width / zoom,
          height: size.height / zoom,
        }
      : null,
    onScroll: ({ currentTarget: { scrollLeft: x, scrollTop: y } }) => {
      if (Math.abs(x - scroll.x) > coarse || Math.abs(y - scroll.y) > coarse) setScroll({ x, y });
    },
    goTo: (x, y) =>
      size &&
      scroller.current?.scrollTo({
        left: x * zoom + margin - size.width / 2,
        top: y * zoom + margin - size.height / 2,
      }),
  };
};
