import { memo } from "react";
import { type Motion, shapeMs, trackPath } from "../../../core/index.js";

const [width, height] = [40, 16];

/** How a motion's first track goes over its time, small. */
export const MiniCurve = memo(function MiniCurve({ motion: { forward } }: { motion: Motion }) {
  const [track] = [...forward.incoming, ...forward.outgoing];
  const ms = shapeMs(forward);
  const points = Array.from({ length: 33 }, (_, i) => {
    const share = i / 32;
    const path = track && trackPath({ ...track, from: 0, to: 1 });
    const value = path ? path.at(share * ms) : share > 0 ? 1 : 0;
    return `${(share * width).toFixed(1)},${(height - 2 - value * (height - 5)).toFixed(1)}`;
  });
  return (
    <svg width={width} height={height} aria-hidden className="shrink-0 overflow-visible">
      <polyline points={points.join(" ")} fill="none" stroke="currentColor" strokeWidth={1.5} />
    </svg>
  );
});
