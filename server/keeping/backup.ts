import { createHash } from "node:crypto";
import { lastOf, presentFormat } from "../../core/index.js";
import type { Database } from "../database/database.js";
import * as rows from "../frames/repository.js";

/** What a backup is written in: JSON lines (RFC 8259, one value a line), compressed by gzip (RFC 1952). */
export const backupFormat = "handy-frame-backup/1";

/** A line of a backup. First what it is, then each frame with its revisions after it, the oldest first, and in the end what all lines before come to. */
export type BackupLine =
  | { backup: typeof backupFormat; format: string; made: string }
  | {
      frame: Pick<rows.FrameRow, "id" | "name" | "revision"> & {
        made: string;
        changed: string;
        deleted: string | null;
      };
    }
  | { revision: Omit<rows.WrittenRevision, "made"> & { made: string } }
  | { end: { frames: number; revisions: number; sha256: string } };

/** So many revisions are read at a time. */
const page = 100;

/** The whole shelf with all its history, as it is when it begins: what is changed meanwhile is not in it. */
export async function* backupLines(database: Database): AsyncGenerator<string> {
  const hash = createHash("sha256");
  const textOf = (value: BackupLine): string => `${JSON.stringify(value)}\n`;
  const line = (value: BackupLine): string => {
    const text = textOf(value);
    hash.update(text);
    return text;
  };
  yield line({ backup: backupFormat, format: presentFormat, made: new Date().toISOString() });
  const frames = await rows.listFrames(database);
  let revisions = 0;
  for (const { id, name, revision, made, changed, deleted } of frames) {
    yield line({
      frame: {
        ...{ id, name, revision },
        made: made.toISOString(),
        changed: changed.toISOString(),
        deleted: deleted?.toISOString() ?? null,
      },
    });
    for (let last = 0; last < revision;) {
      const read = (await rows.writtenAfter(database, id, last, page)).filter(({ number }) => number <= revision);
      if (read.length === 0) break;
      for (const row of read) yield line({ revision: { ...row, made: row.made.toISOString() } });
      revisions += read.length;
      last = lastOf(read).number;
    }
  }
  yield textOf({ end: { frames: frames.length, revisions, sha256: hash.digest("hex") } });
}
