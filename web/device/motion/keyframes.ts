import { type LayerSample, type Mover, mirroredLayer, moverAt } from "../../../core/index.js";

/** Moments between two of which a mover goes evenly, ms at least; and the most of them. */
const apart = 6;
const most = 240;

const transformOf = ({ x, y, scale, turn }: LayerSample, { width, height }: Mover["box"]): string =>
  `translate(${(x / 100) * width}px, ${(y / 100) * height}px) scale(${scale}) rotateY(${turn}deg)`;

/** How long a mover goes, ms of its own time. */
export const lengthOf = ({ start, end }: Mover): number => Math.max(1, end - start);

/** What a mover looks like while it goes, evenly spread: transform and opacity alone, so that it runs beside the page's own work. */
export const keyframesOf = (mover: Mover): Keyframe[] => {
  const properties = Object.keys(mover.paths);
  const isFading = properties.includes("opacity");
  const isGoing = properties.some((property) => property !== "opacity");
  const length = lengthOf(mover);
  const count = Math.min(most, Math.max(2, Math.ceil(length / apart)));
  const { led: _, ...free } = mover;
  return Array.from({ length: count + 1 }, (_, i) => {
    const at = moverAt(free, mover.start + (length * i) / count);
    const layer = mover.rtl ? mirroredLayer(at) : at;
    return {
      ...(isGoing && { transform: transformOf(layer, mover.box) }),
      ...(isFading && { opacity: layer.opacity }),
    };
  });
};
