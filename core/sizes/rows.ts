import { appSlots, isVaried, type Slot, slotsOf } from "../frame/cells.js";
import { bandsOf, targetsOf } from "../frame/defaults.js";
import { opensOf } from "../frame/look.js";
import type { Id } from "../frame/parts.js";
import { nodeAt } from "../frame/nodes.js";
import { indexOf } from "../frame/frame-index.js";
import type { Frame } from "../frame/types.js";
import { classIn } from "../frame/views.js";

/** A row of what differs by view: one property of one node, or (null) of the app as a whole. */
export interface SizeRow {
  id: Id | null;
  slot: Slot;
}

/** Whether a node opens over the rest in any view. */
const everLifts = (frame: Frame, id: Id): boolean =>
  targetsOf(frame).some(({ id: target }) =>
    bandsOf(frame).some(({ id: band }) =>
      [false, true].some((short) => opensOf(frame, id, classIn(frame, band, target, short)) !== "push"),
    ),
  );

/** What every frame is looked at by, whether it differs or not: the face of each hub, whether each pair is split, how each overlay opens. */
const mainSlot = (frame: Frame, id: Id): Slot | null => {
  const { kind } = nodeAt(frame, id);
  if (kind === "hub") return "face";
  if (kind === "pair") return "split";
  return everLifts(frame, id) ? "opens" : null;
};

/** The rows of what differs by view, in the order of the tree: what every node of its kind is looked at by, then whatever else is said to differ. */
export const sizeRows = (frame: Frame): SizeRow[] => {
  const rows: SizeRow[] = [];
  const { ids } = indexOf(frame);
  for (const id of ids) {
    const main = mainSlot(frame, id);
    if (main) rows.push({ id, slot: main });
    const node = nodeAt(frame, id);
    if (!node.vary?.length) continue;
    for (const { slot } of slotsOf(node.kind)) if (slot !== main && isVaried(node, slot)) rows.push({ id, slot });
  }
  if (frame.vary?.length) for (const { slot } of appSlots) if (isVaried(frame, slot)) rows.push({ id: null, slot });
  return rows;
};
