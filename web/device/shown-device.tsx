import { type Frame, isStuck } from "../../core/index.js";
import { Part } from "../parts/part.js";
import { LiveDevice, type LiveDeviceProps } from "./live-device.js";
import { Outside } from "./outside.js";
import { Stuck } from "./stuck.js";

export interface ShownDeviceProps extends LiveDeviceProps {
  frame: Frame;
  onRelaunch: () => void;
}

/** What a device shows: the app, or that it was left, or that nothing of it may be shown. */
export function ShownDevice({ onRelaunch, ...props }: ShownDeviceProps) {
  const { frame, view, state, send } = props;
  if (state.outside) return <Outside onReturn={() => send({ do: "return" }, view)} onRelaunch={onRelaunch} />;
  if (isStuck(state)) return <Stuck />;
  return (
    <Part name="The device" of={frame} className="size-full">
      <LiveDevice {...props} />
    </Part>
  );
}
