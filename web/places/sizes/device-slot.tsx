import { memo, useMemo, useState } from "react";
import {
  apartSays,
  bandAt,
  classIn,
  classOf,
  equal,
  type Frame,
  ladderOf,
  ladderNames,
  pathOf,
  type State,
  targetIn,
  targetsOf,
  type View,
} from "../../../core/index.js";
import { useLive, useOpenFrame, useSizes } from "../../app/open-frame.js";
import { useDark } from "../../app/theme.js";
import type { SizedDevice } from "../../data/sizes.js";
import { GoesOn } from "../../device/goes-on.js";
import { ShownDevice } from "../../device/shown-device.js";
import { DeviceSettings } from "./device-settings.js";
import { EdgeHandle } from "./edge-handle.js";
import { actOn, useFollowing } from "./use-following.js";

export interface DeviceSlotProps {
  device: SizedDevice;
  /** The device before it, which it is compared with. */
  before: SizedDevice | null;
  scale: number;
  isFirst: boolean;
  /** Told as its edge is taken hold of and let go. */
  onHold: (isHeld: boolean) => void;
}

const namesShown = 5;
/** Room for what is written over and under a narrow device, px. */
const leastFigure = 124;

const backSays = (frame: Frame, view: View, state: State): string => {
  if (state.outside) return "outside the app";
  const names = ladderNames(frame, pathOf(ladderOf(frame, view, state)));
  return names.length > namesShown
    ? [...names.slice(0, namesShown - 1), "…", names.at(-1)].join(", ")
    : names.join(", ");
};

/** The view of a device as the page has set all of them. */
const useViewOf = (device: SizedDevice | null): View | null => {
  const { sizes } = useOpenFrame();
  const rtl = useSizes((shown) => shown.rtl);
  const calm = useSizes((shown) => shown.calm);
  const target = useLive((live) => live.device.view.target);
  return useMemo(() => device && sizes.viewOf(device), [sizes, device, rtl, calm, target]);
};

/** The frame that a device shows: as a change would make it, where one is looked at that is for its views. */
const useTried = (frame: Frame, view: View): Frame => {
  const tried = useSizes((shown) => shown.tried);
  if (!tried) return frame;
  const { cell } = tried;
  const isMeant = !cell || equal(classOf(frame, view), classIn(frame, cell.band, cell.target, cell.short ?? false));
  return isMeant ? tried.frame : frame;
};

/** How the app looks on all devices. */
const useLooks = () => {
  const hatched = useSizes((shown) => shown.hatched);
  const text = useSizes((shown) => shown.text);
  const theme = useSizes((shown) => shown.theme);
  const isPageDark = useDark();
  return { hatched, text, dark: theme === "page" ? isPageDark : theme === "dark" };
};

/** One device of several, with what Back does on it and how it differs from the one before. */
export const DeviceSlot = memo(function DeviceSlot({ device, before, scale, isFirst, onHold }: DeviceSlotProps) {
  const { live, sizes } = useOpenFrame();
  const { key } = device;
  const { frame: real, state, steps } = useFollowing(key);
  const isApart = useSizes((shown) => shown.own !== null);
  const touring = useSizes((shown) => (isFirst ? shown.touring : null));
  const looks = useLooks();
  const own = useViewOf(device);
  const view = touring ?? own ?? live.get().device.view;
  const frame = useTried(real, view);
  const [isHeld, setHeld] = useState(false);
  const [width, height] = [view.width * scale, view.height * scale];
  return (
    <figure
      className="relative flex shrink-0 flex-col"
      style={{ width: Math.max(width, leastFigure) }}
      data-sized={key}
    >
      <Caption frame={frame} device={device} view={view} />
      <div className="relative" style={{ width, height }}>
        <div
          data-device={key}
          className={`relative size-full overflow-hidden rounded-md border bg-plate-2 ${isHeld ? "border-petrol" : "border-ink"}`}
          onPointerDownCapture={() => actOn(key)}
          onFocusCapture={() => actOn(key)}
        >
          <ShownDevice
            {...{ frame, state, steps, view, scale, ...looks }}
            send={sizes.send}
            onRelaunch={() => live.relaunch()}
          />
          {(isFirst || isApart) && (
            <GoesOn frame={frame} view={view} state={state} onWait={(ms) => sizes.send({ do: "wait", ms }, view)} />
          )}
        </div>
        {!touring && (
          <EdgeHandle
            name={device.name}
            width={device.width}
            scale={scale}
            onWiden={(next) => sizes.widen(key, next)}
            onHold={(held) => (setHeld(held), onHold(held))}
          />
        )}
      </div>
      <Said frame={frame} view={view} state={state} before={isApart ? null : before} />
    </figure>
  );
});

/** What a device is, and which views it is one of. */
function Caption({ frame, device, view }: { frame: Frame; device: SizedDevice; view: View }) {
  return (
    <figcaption className="mb-1.5 leading-tight">
      <div className="flex items-center gap-1">
        <DeviceSettings device={device} />
      </div>
      <div className="flex flex-wrap gap-x-2 whitespace-nowrap">
        <span className="font-semibold text-petrol" data-band>
          {bandAt(frame, view.width).id}
          {classOf(frame, view).short && " · low"}
        </span>
        <span className="mono text-[11.5px] text-ink-2">
          {view.width} × {view.height}
        </span>
        {targetsOf(frame).length > 1 && device.target && (
          <span className="text-ink-2">{targetIn(frame, view).label}</span>
        )}
      </div>
    </figcaption>
  );
}

/** What Back does on a device, and how it differs from the one before. */
function Said({ frame, view, state, before }: { frame: Frame; view: View; state: State; before: SizedDevice | null }) {
  const neighbour = useViewOf(before);
  const back = useMemo(() => backSays(frame, view, state), [frame, view, state]);
  const apart = useMemo(
    () => (neighbour ? apartSays(frame, state, neighbour, view).looks : []),
    [frame, state, neighbour, view],
  );
  const said = apart.join(" · ");
  return (
    <>
      <p className="mt-1.5 line-clamp-2 font-semibold" data-back>
        Back: {back}
      </p>
      <p className="line-clamp-2 min-h-4.5 text-ink-2" data-apart title={said}>
        {said}
      </p>
    </>
  );
}
