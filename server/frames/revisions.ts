import { type Frame, plainFrame } from "../../core/index.js";
import { checkedRun, type SaveRequest } from "../../shape/edits.js";
import { Breath } from "../in-slices.js";
import { Problem } from "../problem.js";
import type { NewRevision } from "./repository.js";

/** A frame as it stands. */
export interface Head {
  id: string;
  revision: number;
  frame: Frame;
}

/** A whole snapshot is kept this often, so that any revision is a few edits away. */
export const snapshotEvery = 50;

/** The revisions that edits make on a frame, and the frame after them. Others are answered in between. */
export const revisionsOf = async (
  { frame: before, revision: on }: Head,
  edits: SaveRequest["edits"],
): Promise<{ frame: Frame; revisions: NewRevision[] }> => {
  const revisions: NewRevision[] = [];
  const run = checkedRun(before);
  const breath = new Breath();
  for (const { key, label, edit } of edits) {
    const result = run.apply(edit);
    if (!result.ok) throw new Problem("edit-refused", `${label}: nothing was changed.`, { faults: result.faults });
    const number = on + revisions.length + 1;
    const snapshot = number % snapshotEvery === 0 ? plainFrame(run.frame) : null;
    revisions.push({ number, key, label, edit, inverse: result.inverse, snapshot });
    await breath.take();
  }
  return { frame: run.frame, revisions };
};
