import type { PointerEvent as ReactPointerEvent } from "react";
import {
  drawerOf,
  type FixedFrame,
  goesOn,
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
import { Finger } from "./finger.js";
import type { DeviceMotion } from "./motion/device-motion.js";

/** How near the edge a swipe begins, px of the view. */
const reach = 22;
/** So far a finger goes to open a drawer, px. */
const enough = 40;

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
  motion: DeviceMotion;
  send: (event: NavigationEvent) => void;
}

/** Going back with the finger, from the start edge of the device, which can be let go; where nothing goes back it opens the drawer. */
export const useEdgeSwipe = ({ frame, view, state, scale, ghost, motion, send }: Options) => {
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
    const isLeading = meant.do === "up" && motion.lead(stepThrough(frame, view, state, meant).state, "x");
    const finger = new Finger(event.timeStamp);
    followPointer(
      (moved) => {
        finger.to(Math.max(0, inward(moved.clientX) - from), moved.timeStamp);
        if (isLeading) motion.leadTo(finger.at / motion.length, finger.speed / motion.length);
      },
      (isLetGo) => {
        if (finger.at > 4) swallowClick();
        const goes = isLeading
          ? goesOn(finger.at / motion.length, finger.speedAt(performance.now()) / motion.length)
          : finger.at > enough;
        if (isLeading) motion.release(isLetGo && goes);
        if (isLetGo && goes) send(meant);
      },
    );
  };
  return { onPointerDown };
};
