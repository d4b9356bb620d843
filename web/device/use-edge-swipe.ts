import { type PointerEvent as ReactPointerEvent, useRef, useState } from "react";
import {
  drawerOf,
  type FixedFrame,
  hasEdgeSwipe,
  lensOf,
  type NavigationEvent,
  sightOf,
  type State,
  stepThrough,
  targetIn,
  upTakes,
  type View,
} from "../../core/index.js";
import { followPointer } from "../parts/follow-pointer.js";

/** A finger on its way from an edge. */
export interface EdgeSwipe {
  /** px from the edge inward. */
  by: number;
  /** What the swipe would go back to. */
  after: State;
  /** Let go: it goes on or back by itself. */
  released: boolean;
}

/** How near the edge a swipe begins, px of the view. */
const reach = 22;
/** The share of the width at which letting go goes back. */
const enough = 0.35;
const settle = 180;

type SwipeEdge = "start" | "end";

/** The event that a swipe inward from an edge means now: going up from the start edge, the drawer from its own, or nothing. */
const meantBy = (frame: FixedFrame, view: View, state: State, edge: SwipeEdge): NavigationEvent | null => {
  if (state.asking) return null;
  const lens = lensOf(frame, view);
  if (edge === "start" && hasEdgeSwipe(targetIn(frame, view)) && upTakes(lens, state) === "push") return { do: "up" };
  const bar = drawerOf(sightOf(lens, state));
  return bar && !bar.open && lens.look(bar.hub).faceEdge === edge ? { do: "menu", open: true } : null;
};

/** A finger that swiped presses nothing where it is lifted. */
const swallowClick = (): void => {
  const swallow = (event: MouseEvent) => {
    event.stopPropagation();
    event.preventDefault();
  };
  addEventListener("click", swallow, { capture: true, once: true });
  setTimeout(() => removeEventListener("click", swallow, { capture: true }), 60);
};

interface Options {
  frame: FixedFrame;
  view: View;
  state: State;
  scale: number;
  ghost: boolean;
  send: (event: NavigationEvent) => void;
}

/** Going back with the finger, from the start edge of the device, which can be let go; where nothing goes back it opens the drawer. */
export const useEdgeSwipe = ({ frame, view, state, scale, ghost, send }: Options) => {
  const [swipe, setSwipe] = useState<EdgeSwipe | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);

  const onPointerDown = (event: ReactPointerEvent<HTMLElement>): void => {
    if (event.button !== 0 || ghost) return;
    const box = event.currentTarget.getBoundingClientRect();
    const fromLeft = (x: number) => (x - box.left) / scale;
    const isLeft = fromLeft(event.clientX) <= reach;
    if (!isLeft && fromLeft(event.clientX) < view.width - reach) return;
    const inward = (x: number) => (isLeft ? fromLeft(x) : view.width - fromLeft(x));
    const from = inward(event.clientX);
    const meant = meantBy(frame, view, state, isLeft === view.rtl ? "end" : "start");
    if (!meant) return;
    event.preventDefault();
    clearTimeout(timer.current);
    const { state: after } = stepThrough(frame, view, state, meant);
    const follows = meant.do === "up";
    let by = 0;
    const move = (moved: PointerEvent) => {
      by = Math.max(0, inward(moved.clientX) - from);
      if (follows) setSwipe({ by, after, released: false });
    };
    followPointer(move, (isLetGo) => {
      if (by > 4) swallowClick();
      const goes = isLetGo && by > (follows ? enough * view.width : 40);
      if (!follows) return goes ? send(meant) : undefined;
      if (by === 0) return setSwipe(null);
      setSwipe({ by: goes ? view.width : 0, after, released: true });
      timer.current = setTimeout(() => {
        if (goes) send(meant);
        setSwipe(null);
      }, settle);
    });
  };
  return { swipe, onPointerDown };
};
