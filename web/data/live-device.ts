import {
  type Frame,
  type Id,
  landed,
  type NavigationEvent,
  type Renames,
  type State,
  type Trial,
  type View,
} from "../../core/index.js";
import {
  type Device,
  deviceAt,
  lastingFacts,
  linkedDevice,
  newDevice,
  putOn,
  withEvent,
  withEvents,
  withFrame,
} from "./device.js";
import { External } from "./external.js";
import { keepState, readKeptState } from "./kept-state.js";

/** The live device, as it is shown. */
export interface Live {
  device: Device;
  /** The companion shows a device for each target. */
  sideBySide: boolean;
}

/** The device as this window left it, as far as the frame still has its place. */
const startedOn = (frame: Frame, id: string, given: Partial<View>): Device => {
  const device = newDevice(frame, given);
  const left = readKeptState(id);
  if (!left) return device;
  try {
    return withFrame(frame, deviceAt(device.view, left, ["As this window left it."]));
  } catch {
    return device;
  }
};

/** One app that runs: its state, the view it is looked at in, and every step it made. It follows the frame. */
export class LiveDevice extends External<Live> {
  constructor(
    private readonly id: string,
    private readonly frame: () => Frame,
    given: Partial<View>,
  ) {
    super({ device: startedOn(frame(), id, given), sideBySide: false });
  }

  /** The device as it is, with nothing told of what led there. */
  private get device(): Device {
    return { ...this.get().device, steps: [] };
  }

  /** An event on the device, or on another one that shows the same state: the view says in which it happened. */
  readonly send = (event: NavigationEvent, view?: View): void => {
    this.set({ device: withEvent(this.frame(), this.device, event, view) });
  };

  /** Launches the app anew; facts that last stay. */
  relaunch(): void {
    const { view, at } = this.device;
    this.set({ device: newDevice(this.frame(), view, lastingFacts(this.frame(), at.state)) });
  }

  /** Follows a link as it is tried: in an app that starts by it, or that has just been launched, with these facts. */
  follow(url: string, { start, facts }: Trial): void {
    const frame = this.frame();
    const { view } = this.device;
    const landing = () => deviceAt(view, landed(frame, view, facts), this.device.reasons);
    this.set({
      device:
        start === "cold"
          ? linkedDevice(frame, view, facts, url)
          : withEvent(frame, landing(), { do: "link", url, start }),
    });
  }

  /** Brings the device to a screen, as a person would come. */
  putOn(id: Id): void {
    this.set({ device: putOn(this.frame(), this.device, id) });
  }

  /** Puts the device where a route starts and goes along it. */
  goAlong(start: State, events: readonly NavigationEvent[]): void {
    const { view, reasons } = this.device;
    this.set({ device: withEvents(this.frame(), deviceAt(view, start, reasons), events) });
  }

  setView(given: Partial<View>): void {
    const { device } = this;
    this.set({ device: withFrame(this.frame(), { ...device, view: { ...device.view, ...given } }) });
  }

  showAllTargets(sideBySide: boolean): void {
    this.set({ sideBySide });
  }

  /** Goes on with the frame as it was edited. */
  carryOver(before: Frame, frame: Frame, renamed: Renames): void {
    this.set({ device: withFrame(frame, this.device, renamed, before) });
  }

  /** Keeps in this window where the device is, for the next time. */
  readonly keep = (): void => keepState(this.id, this.device.at.state);
}
