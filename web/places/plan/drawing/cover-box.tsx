import { memo } from "react";

export interface CoverBoxProps {
  x: number;
  y: number;
  width: number;
  height: number;
  /** What lies on it covers what. */
  says: string;
}

/** The strip that lies over the rest of a stack: overlays, and screens pushed beside a container. */
export const CoverBox = memo(function CoverBox({ x, y, width, height, says }: CoverBoxProps) {
  return (
    <div
      className="absolute rounded-md border border-saffron bg-saffron-soft shadow-[3px_3px_0_color-mix(in_srgb,var(--saffron)_45%,transparent)]"
      style={{ left: x, top: y, width, height }}
    >
      <p className="truncate px-2 pt-0.5 text-[11.5px] text-ink">{says}</p>
    </div>
  );
});
