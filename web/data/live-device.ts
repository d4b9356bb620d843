import { Reasons } from "./reasons.js";
import {
  type Facts,
  type Frame,
  type Id,
  isStuck,
  landed,
  lensOf,
  type NavigationEvent,
  noRenames,
  type Renames,
  type Standpoints,
  type State,
  topOf,
  type Trial,
  type View,
  type ViewChange,
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
import { noTrail, pointIn, type Trail, trailAfter, trailCarried } from "./trail.js";

/** The live device, as it is shown. */
export interface Live {
  device: Device;
  /** The companion shows a device for each target. */
  sideBySide: boolean;
  /** Everything that happened to the device since the page was opened. */
  trail: Trail;
}

/** The device as this window left it, as far as the frame still has its place. */
const startedOn = (frame: Frame, id: string, given: Partial<View>): Device => {
  const device = newDevice(frame, given);
  const left = readKeptState(id);
  if (!left) return device;
  try {
    return withFrame(frame, deviceAt(device.view, left, Reasons.of(["As this window left it."])));
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
    super({ device: startedOn(frame(), id, given), sideBySide: false, trail: noTrail });
    this.put(this.get().device);
  }

  /** The device becomes this one; what led there joins the trail. */
  private put(device: Device): void {
    const { trail, device: before } = this.get();
    const frame = this.frame();
    const topIn = (state: State, view: View): Id =>
      state.outside || isStuck(state) ? "" : topOf(lensOf(frame, view), state.root).node;
    this.set({ device, trail: trailAfter(trail, before, { frame, device, topIn, time: performance.now() }) });
  }

  /** The device as it is, with nothing told of what led there. */
  private get device(): Device {
    return { ...this.get().device, steps: [] };
  }

  /** An event on the device, or on another one that shows the same state: the view says in which it happened. */
  readonly send = (event: NavigationEvent, view?: View): void => {
    this.put(withEvent(this.frame(), this.device, event, view));
  };

  /** Launches the app anew; facts that last stay. */
  relaunch(): void {
    const { view, at } = this.device;
    this.put(newDevice(this.frame(), view, lastingFacts(this.frame(), at.state)));
  }

  /** Follows a link as it is tried: in an app that starts by it, or that has just been launched, with these facts. */
  follow(url: string, { start, facts }: Trial): void {
    const frame = this.frame();
    const { view } = this.device;
    const landing = () => deviceAt(view, landed(frame, view, facts), this.device.reasons);
    this.put(
      start === "cold"
        ? linkedDevice(frame, view, facts, url)
        : withEvent(frame, landing(), { do: "link", url, start }),
    );
  }

  /** Brings the device to a screen, as a person would come. */
  putOn(points: Standpoints<Frame>, id: Id): void {
    this.put(putOn(points, this.device, id));
  }

  /** Puts the device where a route starts and goes along it. */
  goAlong(start: State, events: readonly NavigationEvent[]): void {
    const { view, reasons } = this.device;
    this.put(withEvents(this.frame(), deviceAt(view, start, reasons), events));
  }

  /** The device becomes another, or is turned: that happens to the app, and so joins the trail. */
  setView(given: Partial<ViewChange>): void {
    const { width, height } = this.device.view;
    this.send({ do: "view", width, height, ...given });
  }

  /** Puts the device back to a point of the trail, as far as the frame still has it. */
  goTo(id: number): void {
    const { trail } = this.get();
    const point = pointIn(trail, id);
    if (!point) return;
    const frame = this.frame();
    const was = deviceAt(point.view, point.state, point.reasons);
    const device = point.frame === frame ? was : withFrame(frame, was, noRenames, point.frame);
    this.set({ device, trail: trailCarried({ ...trail, at: id }, frame, device.at.state) });
  }

  /** Launches the app as a journey does. */
  launchAs(view: View, facts: Facts, url?: string): void {
    const frame = this.frame();
    this.put(url === undefined ? newDevice(frame, view, facts) : linkedDevice(frame, view, facts, url));
  }

  showAllTargets(sideBySide: boolean): void {
    this.set({ sideBySide });
  }

  /** Goes on with the frame as it was edited. */
  carryOver(before: Frame, frame: Frame, renamed: Renames): void {
    const device = withFrame(frame, this.device, renamed, before);
    this.set({ device, trail: trailCarried(this.get().trail, frame, device.at.state) });
  }

  /** Keeps in this window where the device is, for the next time. */
  readonly keep = (): void => {
    keepState(this.id, this.device.at.state);
  };
}
