import { memo, useMemo } from "react";
import { drawnOf, lensOf, type Moving } from "../../../core/index.js";
import { useDark } from "../../app/theme.js";
import { deviceColours } from "../../device/device-colours.js";
import { DrawnTree } from "../../device/drawn-regions.js";
import { type Plays, PlaysProvider } from "../../device/motion/motion-context.js";
import { OwnParts } from "../../device/own-parts.js";

const nothing = () => () => undefined;
/** On a stage nothing is touched: it is looked at. */
const common = { ghost: true, send: () => undefined, onSettler: nothing };

export interface StageDeviceProps {
  moving: Moving;
  plays: Plays;
  /** Screen px for each px of the device. */
  scale: number;
  label: string;
}

/** A device on which a move goes by as its clock has it. */
export const StageDevice = memo(function StageDevice({ moving, plays, scale, label }: StageDeviceProps) {
  const dark = useDark();
  const drawn = useMemo(() => drawnOf(moving), [moving]);
  const { frame, view, surface } = moving.shot;
  const { width, height, rtl } = view;
  const { theme } = lensOf(frame, view).app;
  return (
    <div
      role="img"
      aria-label={label}
      className="relative shrink-0 overflow-hidden border border-ink [contain:strict]"
      style={{ width: width * scale + 2, height: height * scale + 2, borderRadius: Math.max(4, 26 * scale) }}
    >
      <div
        inert
        className="relative overflow-hidden text-left"
        style={{
          width,
          height,
          transform: `scale(${scale})`,
          transformOrigin: "0 0",
          direction: rtl ? "rtl" : "ltr",
          ...deviceColours(theme, dark),
        }}
      >
        <PlaysProvider value={plays}>
          <DrawnTree drawn={drawn} common={common} />
        </PlaysProvider>
        <OwnParts view={view} insets={surface.insets} />
      </div>
    </div>
  );
});
