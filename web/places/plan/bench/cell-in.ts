import { bandAt, type Cell, classOf, type Frame, type View } from "../../../../core/index.js";

/** The cell that a view is in. */
export const cellIn = (frame: Frame, view: View): Cell => ({
  target: view.target,
  band: bandAt(frame, view.width).id,
  ...(classOf(frame, view).short && { short: true as const }),
});
