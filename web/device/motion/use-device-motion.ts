import { useEffect, useMemo, useState, useSyncExternalStore } from "react";
import { type Drawn, drawnOf, type FixedFrame, shotOf, type Shot, type State, type View } from "../../../core/index.js";
import type { DeviceStep } from "../../data/device.js";
import { devicePace } from "../../data/pace.js";
import { DeviceMotion } from "./device-motion.js";
import { useCalm } from "./use-calm.js";

interface Options {
  frame: FixedFrame;
  state: State;
  view: View;
  /** How high sheets stand that were dragged. */
  heights: ReadonlyMap<number, number>;
  /** What led to the state. */
  steps: readonly DeviceStep[];
}

export interface ShownMotion {
  motion: DeviceMotion;
  /** What the state comes to, once all is at rest. */
  shot: Shot;
  drawn: readonly Drawn[];
  isMoving: boolean;
}

/** The pace that devices go at. */
export const usePace = () => useSyncExternalStore(devicePace.subscribe, () => devicePace.get().pace);

/** What a device draws of its state, moving to it from what was there. */
export const useDeviceMotion = ({ frame, state, view: given, heights, steps }: Options): ShownMotion => {
  const [motion] = useState(() => new DeviceMotion());
  const pace = usePace();
  const isCalm = useCalm();
  const view = useMemo(() => (isCalm && !given.calm ? { ...given, calm: true } : given), [given, isCalm]);
  const shot = useMemo(() => shotOf(frame, state, view, { heights }), [frame, state, view, heights]);
  useEffect(() => () => motion.end(), [motion]);
  const moving = motion.show(shot, steps, pace);
  useSyncExternalStore(motion.subscribe, motion.version);
  const drawn = useMemo(() => drawnOf(moving), [moving]);
  return { motion, shot, drawn, isMoving: moving.movers.size > 0 };
};
