import { useDeferredValue, useMemo, useState } from "react";
import { useEditing, useLive, useSizes } from "../../app/open-frame.js";
import { useSize } from "../../parts/use-size.js";
import { DeviceSlot } from "./device-slot.js";
import { LookGrid } from "./look-grid.js";
import { Ruler } from "./ruler.js";
import { SizesLine } from "./sizes-line.js";

/** Between two devices, px; and what is written over and under each. */
const gap = 26;
const captions = 108;
/** Smaller than this nothing on a device can be told, px for each px: beyond, the line is scrolled. */
const least = 0.22;

/** Every size at once: devices at one scale on one line, the ruler of the bands under them, and the grid of what differs. */
export default function Sizes() {
  return (
    <main aria-label="Sizes" className="flex min-w-0 grow flex-col bg-page">
      <SizesLine />
      <DeviceRow />
      <StateRuler />
      <FrameGrid />
    </main>
  );
}

/** The ruler follows the state once the devices have. */
function StateRuler() {
  const frame = useEditing((edited) => edited.frame);
  const view = useLive((live) => live.device.view);
  const state = useDeferredValue(useLive((live) => live.device.at.state));
  return <Ruler frame={frame} state={state} view={view} />;
}

function FrameGrid() {
  const frame = useDeferredValue(useEditing((edited) => edited.frame));
  return <LookGrid frame={frame} />;
}

/** One scale for all devices, so that the line is as full as it can be; while an edge is dragged it stays as it is. */
const useCommonScale = (room: { width: number; height: number } | null, isHeld: boolean): number => {
  const devices = useSizes((shown) => shown.devices);
  const [kept, setKept] = useState(0);
  const fits = useMemo(() => {
    if (!room) return 0;
    const wide = devices.reduce((sum, { width }) => sum + width, 0);
    const high = Math.max(...devices.map(({ height }) => height));
    const across = (room.width - 32 - gap * devices.length) / wide;
    const down = (room.height - captions) / high;
    return Math.min(1, down, Math.max(least, across));
  }, [room, devices]);
  if (!isHeld && kept !== fits) setKept(fits);
  return isHeld ? kept : fits;
};

function DeviceRow() {
  const devices = useSizes((shown) => shown.devices);
  const [room, size] = useSize();
  const [isHeld, setHeld] = useState(false);
  const scale = useCommonScale(size, isHeld);
  return (
    <section
      ref={room}
      aria-label="Devices"
      className="flex min-h-72 grow-[2.3] basis-0 items-end overflow-x-auto overflow-y-hidden px-4 pb-1"
      style={{ gap }}
    >
      {scale > 0 &&
        devices.map((device, i) => (
          <DeviceSlot
            key={device.key}
            device={device}
            before={devices[i - 1] ?? null}
            scale={scale}
            isFirst={i === 0}
            onHold={setHeld}
          />
        ))}
    </section>
  );
}
