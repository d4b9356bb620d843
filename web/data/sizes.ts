import {
  type Cell,
  devicePreset,
  eventToView,
  readEvent,
  type DevicePreset,
  type DeviceShape,
  type Frame,
  type Id,
  type NavigationEvent,
  type Renames,
  type State,
  turned,
  type View,
  viewOn,
  widened,
} from "../../core/index.js";
import { type Device, newDevice, withEvent, withFrame } from "./device.js";
import { External } from "./external.js";
import { newKey } from "./key.js";
import { hasShape, keepStored, type ReadKept, readList, readStored } from "./storage.js";

/** A device that stands beside others. */
export interface SizedDevice extends DeviceShape {
  key: string;
  name: string;
  /** The target it is of; null for that of the live device. */
  target: Id | null;
}

/** What holds for all devices that stand side by side. */
export interface SizesUse {
  rtl: boolean;
  calm: boolean;
  /** How large text is set, 1 to 2 times. */
  text: number;
  theme: "page" | "light" | "dark";
  /** What of the content is hidden is hatched. */
  hatched: boolean;
}

/** A change that is looked at before it is made: on the devices of one cell, or on all of them. */
export interface TriedOut {
  frame: Frame;
  cell: Cell | null;
}

/** The devices that stand side by side. */
export interface SizesShown extends SizesUse {
  devices: readonly SizedDevice[];
  /** Each device that goes its own way from the launch, by its key; null while all show one state. */
  own: Readonly<Record<string, Device>> | null;
  tried: TriedOut | null;
  /** The view that the first device takes on while a tour goes by. */
  touring: View | null;
}

const first = ["phone", "phoneTurned", "foldOpen", "tabletTurned"];
/** So many devices stand side by side at most. */
export const mostDevices = 12;

const deviceOf = ({ id: _, label, ...shape }: DevicePreset): SizedDevice => ({
  ...shape,
  key: newKey(),
  name: label,
  target: null,
});

const keyOf = (frame: string): string => `handy-frame:sizes:${frame}`;

const isSized = (value: unknown): value is SizedDevice => {
  if (!hasShape(value, { key: "string", name: "string", width: "number", height: "number", insets: "object" }))
    return false;
  const { target: _, ...shape } = value as SizedDevice;
  return readEvent(eventToView(shape)).ok;
};

/** What of a use can be used: each by itself. */
const readUse = ({ rtl, calm, text, theme, hatched }: Partial<SizesUse>): SizesUse => ({
  rtl: rtl === true,
  calm: calm === true,
  text: typeof text === "number" && text >= 1 && text <= 2 ? text : 1,
  theme: theme === "light" || theme === "dark" ? theme : "page",
  hatched: hatched === true,
});

const readKept: ReadKept<{ devices: SizedDevice[]; use: SizesUse }> = (value, form) => {
  if (!hasShape(value, { devices: "object", use: "object" })) return null;
  const devices = readList(isSized)(value.devices, form);
  return devices?.length ? { devices, use: readUse(value.use) } : null;
};

/** Devices side by side, kept in this browser for each frame: one state on all, or each from its own start. */
export class Sizes extends External<SizesShown> {
  constructor(
    private readonly id: string,
    private readonly frame: () => Frame,
    private readonly live: {
      get: () => { device: Device };
      send: (event: NavigationEvent, view?: View) => void;
    },
  ) {
    const kept = readStored("local", keyOf(id), readKept);
    const devices = kept?.devices ?? first.flatMap((each) => devicePreset(each) ?? []).map(deviceOf);
    super({ ...readUse(kept?.use ?? {}), devices, own: null, tried: null, touring: null });
  }

  private keep(): void {
    const { devices, ...use } = this.get();
    keepStored("local", keyOf(this.id), { devices, use: readUse(use) });
  }

  private change(devices: readonly SizedDevice[]): void {
    const { own } = this.get();
    const added = devices.filter(({ key }) => own && !own[key]);
    const started = added.map((device): [string, Device] => [device.key, this.started(device)]);
    this.set({ devices, ...(own && { own: { ...own, ...Object.fromEntries(started) } }) });
    this.keep();
  }

  private one(key: string, change: (device: SizedDevice) => SizedDevice): void {
    this.change(this.get().devices.map((device) => (device.key === key ? change(device) : device)));
  }

  /** A device as a view of the live device's target, unless it has one of its own. */
  readonly viewOf = (device: SizedDevice): View => {
    const { rtl, calm } = this.get();
    return viewOn(this.frame(), device, { target: device.target ?? this.live.get().device.view.target, rtl, calm });
  };

  private started(device: SizedDevice): Device {
    return newDevice(this.frame(), this.viewOf(device));
  }

  /** Adds a device of a preset's size at the end; says whether there is room. */
  add(preset: DevicePreset): boolean {
    const { devices } = this.get();
    if (devices.length >= mostDevices) return false;
    this.change([...devices, deviceOf(preset)]);
    return true;
  }

  remove(key: string): void {
    const { devices } = this.get();
    if (devices.length > 1) this.change(devices.filter((device) => device.key !== key));
  }

  /** Moves a device one place, to the start or to the end. */
  move(key: string, by: -1 | 1): void {
    const devices = [...this.get().devices];
    const at = devices.findIndex((device) => device.key === key);
    const [device, other] = [devices[at], devices[at + by]];
    if (!device || !other) return;
    [devices[at], devices[at + by]] = [other, device];
    this.change(devices);
  }

  turn(key: string): void {
    this.one(key, (device) => ({ ...device, ...turned(device) }));
  }

  turnAll(): void {
    this.change(this.get().devices.map((device) => ({ ...device, ...turned(device) })));
  }

  /** Gives a device another width, while its edge is dragged and after. */
  widen(key: string, width: number): void {
    this.one(key, ({ key: same, name, target, ...shape }) => ({ ...widened(shape, width), key: same, name, target }));
  }

  /** Sets some of what a device is. */
  shape(key: string, change: Partial<SizedDevice>): void {
    this.one(key, (device) => ({ ...device, ...change }));
  }

  use(change: Partial<SizesUse>): void {
    this.set(change);
    this.keep();
  }

  /** Makes a device another under its key. */
  replace(key: string, device: SizedDevice): void {
    this.one(key, () => ({ ...device, key }));
  }

  /** One state on all devices, or each from its own start. */
  apart(isApart: boolean): void {
    const { devices } = this.get();
    this.set({
      own: isApart ? Object.fromEntries(devices.map((device) => [device.key, this.started(device)])) : null,
    });
  }

  /** Something a person did on one of the devices. */
  readonly send = (event: NavigationEvent, view: View): void => {
    const { own, devices } = this.get();
    if (!own) return this.live.send(event, view);
    const next = devices.flatMap((device): [string, Device][] => {
      const at = own[device.key];
      return at ? [[device.key, withEvent(this.frame(), { ...at, steps: [] }, event, this.viewOf(device))]] : [];
    });
    this.set({ own: Object.fromEntries(next) });
  };

  /** What a device shows: its own way from the launch, or where the live device is. */
  readonly shownBy = (key: string): Device => this.get().own?.[key] ?? this.live.get().device;
  /** The state that a device shows. */
  readonly stateOf = (key: string): State => this.shownBy(key).at.state;

  tryOut(tried: TriedOut | null): void {
    this.set({ tried });
  }

  /** The view that the first device takes on while a tour goes by; null gives it its own again. */
  showOnTour(touring: View | null): void {
    this.set({ touring });
  }

  /** Goes on with the frame as it was edited. */
  carryOver(before: Frame, frame: Frame, renamed: Renames): void {
    const { own } = this.get();
    this.set({
      tried: null,
      ...(own && {
        own: Object.fromEntries(
          Object.entries(own).map(([key, device]) => [key, withFrame(frame, device, renamed, before)]),
        ),
      }),
    });
  }
}
