import { useMemo } from "react";
import { focusPath, type Frame, type Id, lensOf, type View } from "../../../../core/index.js";
import { useLive } from "../../../app/open-frame.js";

/** Where the device is on the plan. */
export interface DeviceSpot {
  screen: Id | undefined;
  parent: Id | undefined;
  /** The tabs it shows, as “hub tab”. */
  tabs: ReadonlySet<string>;
}

export const useDeviceSpot = (frame: Frame, view: View): DeviceSpot => {
  const state = useLive((live) => live.device.at.state);
  return useMemo(() => {
    const path = !state.outside ? focusPath(lensOf(frame, view), state.root) : [];
    const tabs = path.flatMap((entry) => (entry.kind === "hub" ? [`${entry.node} ${entry.active}`] : []));
    return { screen: path.at(-1)?.node, parent: path.at(-2)?.node, tabs: new Set(tabs) };
  }, [frame, view, state]);
};
