import { setImmediate } from "node:timers/promises";
import { type Frame, plainFrame } from "../../core/index.js";
import { applyAllChecked, type SaveRequest } from "../../shape/edits.js";
import { Problem } from "../problem.js";
import type { NewRevision } from "./repository.js";

/** A frame as it stands. */
export interface Head {
  id: string;
  revision: number;
  frame: Frame;
}

/** A whole snapshot is kept this often, so that any revision is a few edits away. */
const snapshotEvery = 50;

/**
 * The revisions that edits make on a frame, and the frame after them. Others are answered in between: so many edits are
 * made at once as lie between two snapshots.
 */
export const revisionsOf = async (
  { frame: before, revision: on }: Head,
  edits: SaveRequest["edits"],
): Promise<{ frame: Frame; revisions: NewRevision[] }> => {
  const revisions: NewRevision[] = [];
  let frame = before;
  for (let left = edits; left.length > 0;) {
    const reached = on + revisions.length;
    const now = left.slice(0, snapshotEvery - (reached % snapshotEvery));
    left = left.slice(now.length);
    const made = applyAllChecked(
      frame,
      now.map(({ edit }) => edit),
    );
    frame = made.frame;
    for (const [i, { key, label, edit }] of now.entries()) {
      const result = made.results[i];
      if (!result?.ok)
        throw new Problem("edit-refused", `${label}: nothing was changed.`, { faults: result?.faults ?? [] });
      const number = reached + i + 1;
      const snapshot = number % snapshotEvery === 0 ? plainFrame(frame) : null;
      revisions.push({ number, key, label, edit, inverse: result.inverse, snapshot });
    }
    if (left.length) await setImmediate();
  }
  return { frame, revisions };
};
