import { asRecord, type Frame, isOlder, plainFrame, upgradedFrame, upgradeStored } from "../../core/index.js";
import type { Database, Sql } from "../database/database.js";
import * as rows from "./repository.js";

/** A frame as it was stored in its own format, and as it is in the present one. */
interface Both {
  was: Frame;
  now: Frame;
}

const bothOf = (snapshot: Frame): Both => {
  const raw = asRecord(snapshot);
  return { was: snapshot, now: isOlder(raw) ? upgradedFrame(raw) : snapshot };
};

/** A revision in the present format, on the one before it. */
const upgraded = (before: (Both & { number: number }) | null, row: rows.StoredRevision): Both => {
  const { edit, snapshot } = row;
  // of what was thinned before it an edit has nothing to stand on
  if (before?.number !== row.number - 1 || !edit) {
    if (!snapshot) throw new Error(`revision ${row.number} has neither a frame nor an edit of the one before it`);
    return bothOf(snapshot);
  }
  const made = upgradeStored(before.was, edit, before.now);
  Object.assign(row, { edit: made.edit, inverse: made.inverse });
  return { was: made.after, now: made.now };
};

const upgradeFrame = async (sql: Sql, id: string): Promise<void> => {
  let both: (Both & { number: number }) | null = null;
  for (const row of await rows.storedRevisions(sql, id)) {
    both = { ...upgraded(both, row), number: row.number };
    await rows.putRevision(sql, id, { ...row, snapshot: row.snapshot && plainFrame(both.now) });
  }
};

/** Brings every frame that was stored in an older format up, with all its revisions, each frame at once: one that was brought up is never looked at again. */
export const upgradeFrames = async (database: Database, say: (line: string) => void): Promise<void> => {
  const older = await rows.olderFrames(database);
  if (older.length) say(`Bringing ${older.length} stored frames up to the present format …`);
  for (const id of older) await database.transaction((sql) => upgradeFrame(sql, id));
};
