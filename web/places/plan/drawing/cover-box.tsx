import { type Frame, type PlanLayout, type View } from "../../../../core/index.js";
import { coverSays } from "./plate-says.js";

export interface CoverBoxProps {
  frame: Frame;
  view: View;
  strip: PlanLayout["covers"][number];
}

/** The strip that lies over the rest of a stack: overlays, and screens pushed beside a container. */
export function CoverBox({ frame, view, strip }: CoverBoxProps) {
  const { stack, holds, x, y, width, height } = strip;
  return (
    <div
      className="absolute rounded-md border border-saffron bg-saffron-soft shadow-[3px_3px_0_color-mix(in_srgb,var(--saffron)_45%,transparent)]"
      style={{ left: x, top: y, width, height }}
    >
      <p className="truncate px-2 pt-0.5 text-[11.5px] text-ink">{coverSays(frame, stack, holds, view)}</p>
    </div>
  );
}
