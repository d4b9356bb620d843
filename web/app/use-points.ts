import { useMemo } from "react";
import type { Frame, Standpoints, View } from "../../core/index.js";
import { pointsIn } from "../data/points.js";
import { useOpenFrame, useWays } from "./open-frame.js";

/** Where a person stands who comes to the nodes of a frame in a view. */
export const usePoints = (frame: Frame, view: View): Standpoints<Frame> => {
  const { ways } = useOpenFrame();
  const found = useWays((now) => now.ways);
  return useMemo(() => pointsIn(ways, frame, view), [ways, found, frame, view]);
};
