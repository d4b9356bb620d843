import { applyEach, type Frame, plainFrame } from "../../core/index.js";
import type { Database, Sql } from "../database/database.js";
import * as rows from "../frames/repository.js";
import { snapshotEvery } from "../frames/revisions.js";

/** Which revisions of a frame are kept: of the newest ones all, of older ones each fiftieth, of those before that each five hundredth; and always the first, and what a person named. */
export interface Thinning {
  /** So many of the newest are kept, all of them. */
  whole: number;
  /** Of so many of the newest each one with a snapshot. */
  fine: number;
  /** Of those before, each one whose number this goes into. */
  coarse: number;
}
const usualThinning: Thinning = { whole: 1000, fine: 10_000, coarse: 500 };
/** Frames that were deleted are there to be brought back so long, days. */
export const deletedFor = 30;

/** The frame of a revision that others stand on still. */
const frameAt = async (sql: Sql, id: string, revision: number): Promise<Frame | null> => {
  const found = await rows.snapshotBefore(sql, id, revision);
  return found ? plainFrame(applyEach(found.snapshot, found.edits).frame) : null;
};

/** Thins the revisions of a frame; answers how many went. All that is left can be read without those that go. */
const thinFrame = async (sql: Sql, { id, fileRevision }: rows.FrameRow, rule: Thinning): Promise<number> => {
  const row = await rows.findFrame(sql, id, true);
  if (!row) return 0;
  // what is kept whole begins with a snapshot
  const whole = Math.floor((row.revision - rule.whole) / snapshotEvery) * snapshotEvery;
  if (whole <= 1) return 0;
  for (const kept of await rows.markedBefore(sql, id, whole, fileRevision)) {
    const frame = kept.snapshot ? null : await frameAt(sql, id, kept.number);
    if (frame) await rows.putRevision(sql, id, { ...kept, snapshot: frame });
  }
  return rows.deleteThinned(sql, id, whole, row.revision - rule.fine, rule.coarse, fileRevision);
};

/** What thinning did. */
export interface Thinned {
  revisions: number;
  frames: number;
}

/** Thins the revisions of all frames, and empties those that were deleted long ago. */
export const thin = async (database: Database, rule: Thinning = usualThinning, days = deletedFor): Promise<Thinned> => {
  const thinned: Thinned = { revisions: 0, frames: 0 };
  thinned.frames = await database.transaction((sql) => rows.deleteEmptied(sql, days));
  for (const row of await rows.listFrames(database))
    if (row.revision > rule.whole + snapshotEvery)
      thinned.revisions += await database.transaction((sql) => thinFrame(sql, row, rule));
  return thinned;
};
