import { isStuck, type NavigationEvent, type State, type View, type Frame } from "../../core/index.js";
import { Part } from "../parts/part.js";
import { LiveDevice } from "./live-device.js";
import { Outside } from "./outside.js";
import { Stuck } from "./stuck.js";

export interface ShownDeviceProps {
  frame: Frame;
  view: View;
  state: State;
  dark: boolean;
  /** Screen px for each px of the device. */
  scale: number;
  /** A look at a state that is not the device's own. */
  ghost?: boolean;
  hatched?: boolean;
  text?: number;
  send: (event: NavigationEvent, view: View) => void;
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
