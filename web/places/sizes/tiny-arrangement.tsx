import { memo } from "react";
import { arrange, type FixedFrame, type Id, type Region, type State, type View } from "../../../core/index.js";

export interface TinyArrangementProps {
  frame: FixedFrame;
  state: State | null;
  view: View;
  /** The node that it is about: it stands out. */
  of: Id | null;
}

/** px; a wide view is as wide as its height allows, and no wider than this. */
const high = 34;
const widest = 52;

const faces = new Set<Region["role"]>(["bar", "top", "rail", "panel", "drawer"]);
const overlays = new Set<Region["role"]>(["sheet", "dialog", "side", "fullscreen"]);
const panes = new Set<Region["role"]>(["list", "detail"]);

const looks = (region: Region, of: Id | null): { className: string; opacity?: number } | null => {
  const isMeant = region.node === of || (region.pane !== undefined && region.pane.pair === of);
  if (faces.has(region.role)) return { className: "fill-ink", ...(isMeant ? {} : { opacity: 0.35 }) };
  if (overlays.has(region.role)) return { className: "fill-saffron", ...(isMeant ? {} : { opacity: 0.4 }) };
  if (panes.has(region.role))
    return { className: isMeant ? "fill-petrol-soft stroke-petrol" : "fill-none stroke-rule" };
  if (region.role === "header") return { className: "fill-rule", opacity: 0.7 };
  return null;
};

/** The regions of a view as they are arranged, very small: faces in ink, what covers in saffron, panes by their gutter. */
export const TinyArrangement = memo(function TinyArrangement({ frame, state, view, of }: TinyArrangementProps) {
  const width = Math.min(widest, Math.max(18, (view.width / view.height) * high));
  const height = Math.min(high, (view.height / view.width) * width);
  const regions = state ? arrange(frame, state, view) : [];
  return (
    <svg
      aria-hidden
      width={width}
      height={height}
      viewBox={`0 0 ${view.width} ${view.height}`}
      preserveAspectRatio="none"
      className="shrink-0 overflow-visible rounded-[3px] bg-plate-2 outline-[1.5px] outline-ink"
    >
      {regions.map((region, i) => {
        const look = looks(region, of);
        if (!look) return null;
        const { x, y, width: wide, height: tall } = region;
        return (
          <rect
            key={i}
            x={x}
            y={y}
            width={wide}
            height={tall}
            className={look.className}
            strokeWidth={1.25}
            vectorEffect="non-scaling-stroke"
            opacity={look.opacity}
          />
        );
      })}
    </svg>
  );
});
