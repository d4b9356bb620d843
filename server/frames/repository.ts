import { type Edit, type Frame, presentFormat } from "../../core/index.js";
import type { Sql } from "../database.js";

/** A frame's row. */
export interface FrameRow {
  id: string;
  name: string;
  revision: number;
  made: Date;
  changed: Date;
  deleted: Date | null;
  /** The file it is kept in too. */
  file: string | null;
  /** The revision that stands in the file. */
  fileRevision: number | null;
}

/** A revision's row, without its edit. */
export interface RevisionRow {
  number: number;
  label: string;
  made: Date;
}

/** A revision's edit as it is sent to those who missed it. */
export interface MissedRow {
  number: number;
  key: string;
  label: string;
  edit: Edit;
}

export interface NewRevision {
  number: number;
  key: string;
  label: string;
  edit: Edit | null;
  inverse: Edit | null;
  snapshot: Frame | null;
}

const columns = 'id, name, revision, made, changed, deleted, file, file_revision as "fileRevision"';

const json = (value: unknown): string | null => (value === null ? null : JSON.stringify(value));

export const listFrames = async (sql: Sql): Promise<FrameRow[]> =>
  (await sql.query<FrameRow>(`select ${columns} from frames order by deleted nulls first, changed desc, id`)).rows;

export const findFrame = async (sql: Sql, id: string, lock = false): Promise<FrameRow | undefined> =>
  (await sql.query<FrameRow>(`select ${columns} from frames where id = $1 ${lock ? "for update" : ""}`, [id])).rows[0];

export const insertFrame = async (sql: Sql, id: string, name: string): Promise<boolean> =>
  (
    await sql.query("insert into frames (id, name, revision) values ($1, $2, 0) on conflict do nothing returning id", [
      id,
      name,
    ])
  ).rows.length > 0;

export const setRevision = async (sql: Sql, id: string, revision: number, name: string): Promise<void> => {
  await sql.query("update frames set revision = $2, name = $3, changed = now() where id = $1", [id, revision, name]);
};

export const setDeleted = async (sql: Sql, id: string, deleted: boolean): Promise<void> => {
  await sql.query("update frames set deleted = case when $2 then coalesce(deleted, now()) end where id = $1", [
    id,
    deleted,
  ]);
};

export const findByFile = async (sql: Sql, file: string): Promise<FrameRow | undefined> =>
  (await sql.query<FrameRow>(`select ${columns} from frames where file = $1`, [file])).rows[0];

export const setFile = async (sql: Sql, id: string, file: string, revision: number): Promise<void> => {
  await sql.query("update frames set file = $2, file_revision = $3 where id = $1", [id, file, revision]);
};

export const insertRevision = async (sql: Sql, frame: string, revision: NewRevision): Promise<void> => {
  await sql.query(
    "insert into revisions (frame, number, key, label, edit, inverse, snapshot) values ($1, $2, $3, $4, $5::text::json, $6::text::json, $7::text::json)",
    [
      frame,
      revision.number,
      revision.key,
      revision.label,
      json(revision.edit),
      json(revision.inverse),
      json(revision.snapshot),
    ],
  );
};

/** The newest first; `before` (exclusive) pages on. */
export const listRevisions = async (sql: Sql, frame: string, before: number, most: number): Promise<RevisionRow[]> =>
  (
    await sql.query<RevisionRow>(
      "select number, label, made from revisions where frame = $1 and number < $2 order by number desc limit $3",
      [frame, before, most],
    )
  ).rows;

export const setLabel = async (sql: Sql, frame: string, number: number, label: string): Promise<boolean> =>
  (
    await sql.query("update revisions set label = $3 where frame = $1 and number = $2 returning number", [
      frame,
      number,
      label,
    ])
  ).rows.length > 0;

export const missedSince = async (sql: Sql, frame: string, revision: number): Promise<MissedRow[]> =>
  (
    await sql.query<MissedRow>(
      "select number, key, label, edit from revisions where frame = $1 and number > $2 and edit is not null order by number",
      [frame, revision],
    )
  ).rows;

/** The keys of the newest revisions. */
export const recentKeys = async (sql: Sql, frame: string, most: number): Promise<string[]> =>
  (
    await sql.query<{ key: string }>("select key from revisions where frame = $1 order by number desc limit $2", [
      frame,
      most,
    ])
  ).rows.map(({ key }) => key);

/** All of a revision that has a format. */
export interface StoredRevision {
  number: number;
  edit: Edit | null;
  inverse: Edit | null;
  snapshot: Frame | null;
}

/** The frames of which something is stored in another format than the present one. */
export const olderFrames = async (sql: Sql): Promise<string[]> =>
  (
    await sql.query<{ frame: string }>(
      "select distinct frame from revisions where snapshot is not null and snapshot->>'format' <> $1 order by frame",
      [presentFormat],
    )
  ).rows.map(({ frame }) => frame);

/** All revisions of a frame, the oldest first. */
export const storedRevisions = async (sql: Sql, frame: string): Promise<StoredRevision[]> =>
  (
    await sql.query<StoredRevision>(
      "select number, edit, inverse, snapshot from revisions where frame = $1 order by number",
      [frame],
    )
  ).rows;

/** Puts a revision in another format in the place of the one that was stored. */
export const putRevision = async (sql: Sql, frame: string, revision: StoredRevision): Promise<void> => {
  const { number, edit, inverse, snapshot } = revision;
  await sql.query(
    "update revisions set edit = $3::text::json, inverse = $4::text::json, snapshot = $5::text::json where frame = $1 and number = $2",
    [frame, number, json(edit), json(inverse), json(snapshot)],
  );
};

/** The newest snapshot at or before a revision, and the edits from there up to it. */
export const snapshotBefore = async (
  sql: Sql,
  frame: string,
  revision: number,
): Promise<{ snapshot: Frame; edits: Edit[] } | undefined> => {
  const found = await sql.query<{ number: number; snapshot: Frame }>(
    "select number, snapshot from revisions where frame = $1 and number <= $2 and snapshot is not null order by number desc limit 1",
    [frame, revision],
  );
  const row = found.rows[0];
  if (!row) return undefined;
  const { rows } = await sql.query<{ edit: Edit }>(
    "select edit from revisions where frame = $1 and number > $2 and number <= $3 order by number",
    [frame, row.number, revision],
  );
  return { snapshot: row.snapshot, edits: rows.map(({ edit }) => edit) };
};
