import { bandsOf, splitFromOf } from "./defaults.js";
import type { Frame, Node, Opens, PairNode } from "./types.js";
import { bandAt, byBand, type View } from "./view.js";

/** How a node appears in a view when its stack shows it: by its target, else by its band, else as it says for all. */
export const opensOf = (frame: Frame, node: Node, view: View): Opens =>
  node.opensOn?.[view.target] ?? byBand(frame, node.opensIn, view.width) ?? node.opens ?? "push";

/** An overlay that leaves what is beneath in sight, with a scrim between: it can be dismissed, and no pair is split in it. */
export const isLifted = (opens: Opens): boolean => opens === "sheet" || opens === "dialog" || opens === "side";

/** Whether the view is wide enough for a pair to stand side by side. */
export const hasRoomToSplit = (frame: Frame, pair: PairNode, view: View): boolean => {
  const from = splitFromOf(frame, pair);
  const band = bandsOf(frame).find((candidate) => candidate.id === from);
  return band !== undefined && bandAt(frame, view.width).from >= band.from;
};
