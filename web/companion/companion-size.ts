import { useCallback, useState } from "react";
import type { View } from "../../core/index.js";
import { hasShape, keepStored, type ReadKept, readStored } from "../data/storage.js";

/** How wide the companion is, px: beside an upright device, and under a wide one. */
export interface CompanionWidths {
  upright: number;
  wide: number;
}

/** Narrower nothing in it can be read; what it leaves the place beside it, px. */
const least = 300;
const leastBeside = 400;
/** The same as CSS has it, for a window that is made narrower. */
export const mostInWindow = `max(${least}px, calc(100vw - ${leastBeside}px))`;
/** As it is until its edge is dragged. */
const narrow: CompanionWidths = { upright: 404, wide: 560 };

const key = "handy-frame:companion";
const readWidths: ReadKept<CompanionWidths> = (value) =>
  hasShape(value, { upright: "number", wide: "number" }) ? value : null;

const within = (width: number): number =>
  Math.round(Math.max(least, Math.min(width, Math.max(least, innerWidth - leastBeside))));

/** Which of the two widths a device takes. */
export const shapeOf = (
  { width, height }: Pick<View, "width" | "height">,
  isSeveral: boolean,
): keyof CompanionWidths => (width > height || isSeveral ? "wide" : "upright");

/** How wide the companion is in this browser. */
export const useCompanionWidth = (shape: keyof CompanionWidths) => {
  const [widths, setWidths] = useState(() => readStored("local", key, readWidths) ?? narrow);
  const set = useCallback(
    (width: number) =>
      setWidths((now) => {
        const next = { ...now, [shape]: within(width) };
        keepStored("local", key, next);
        return next;
      }),
    [shape],
  );
  const width = within(widths[shape]);
  /** Narrow, or half of the window. */
  const swap = useCallback(() => {
    const half = within(innerWidth / 2);
    set(Math.abs(width - half) < 8 ? narrow[shape] : half);
  }, [set, shape, width]);
  return { width, least, most: within(Infinity), set, swap };
};
