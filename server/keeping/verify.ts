import { applyEach, equal, type Frame } from "../../core/index.js";
import type { Sql } from "../database/database.js";
import { messageOf } from "../errors.js";
import * as rows from "../frames/repository.js";

/** How a frame and its history stand. */
export interface Verdict {
  id: string;
  name: string;
  /** Revisions that were looked at. */
  revisions: number;
  /** The newest revision up to which all holds; 0 where nothing does. */
  sound: number;
  /** The newest revision. */
  head: number;
  /** The first thing that is wrong, in words; null where all is sound. */
  wrong: string | null;
}

/** So many revisions are read at a time. */
const page = 100;

/** A frame as revisions make it, one after another; throws what is wrong with one. */
class Replay {
  private frame: Frame | null = null;
  private last = 0;

  constructor(private readonly id: string) {}

  /** Goes on by a revision. */
  take({ number, key, edit, inverse, snapshot, sum }: rows.WrittenRevision): void {
    if (rows.sumOf(this.id, number, key, [edit, inverse, snapshot]) !== sum)
      throw new Error(`revision ${number} is not as it was written`);
    const kept: Frame | null = snapshot === null ? null : JSON.parse(snapshot);
    const made = number === this.last + 1 ? this.after(number, edit) : null;
    if (!made && kept === null) throw new Error(`what lies between revisions ${this.last} and ${number} is missing`);
    if (made && kept && !equal(made, kept)) throw new Error(`revision ${number} is another frame than its edits make`);
    this.frame = kept ?? made;
    this.last = number;
  }

  /** The frame after an edit, as it was written. Null if there is no such edit, or no frame to make it on. */
  private after(number: number, edit: string | null): Frame | null {
    if (edit === null || this.frame === null) return null;
    const { frame, results } = applyEach(this.frame, [JSON.parse(edit)]);
    if (!results[0]?.ok) throw new Error(`the edit of revision ${number} cannot be made again`);
    return frame;
  }

  /** Whether it is the frame of that revision and name. */
  end(revision: number, name: string): void {
    if (this.last !== revision) throw new Error(`revision ${revision} is missing`);
    if (this.frame?.name !== name)
      throw new Error(`it is called “${name}” on the shelf, and “${this.frame?.name}” in its newest revision`);
  }
}

const verdictOf = async (database: Sql, { id, name, revision }: rows.FrameRow): Promise<Verdict> => {
  const replay = new Replay(id);
  const verdict: Verdict = { id, name, revisions: 0, sound: 0, head: revision, wrong: null };
  try {
    for (;;) {
      const read = await rows.writtenAfter(database, id, verdict.sound, page);
      for (const row of read) {
        verdict.revisions += 1;
        replay.take(row);
        verdict.sound = row.number;
      }
      if (read.length < page) break;
    }
    replay.end(revision, name);
  } catch (error) {
    verdict.wrong = messageOf(error);
  }
  return verdict;
};

/** Looks at every frame: whether each revision is as it was written, and whether they make the newest one. */
export async function* verified(database: Sql): AsyncGenerator<Verdict> {
  for (const row of await rows.listFrames(database)) yield verdictOf(database, row);
}
