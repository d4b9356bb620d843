import { createHash } from "node:crypto";
import { type Edit, type Frame, presentFormat, sure } from "../../core/index.js";
import type { Sql } from "../database/database.js";

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

/** A row for a new frame at its first revision; its id is the name's, with a number where there is one of that. Which number comes next is kept, so that it takes as long for the thousandth of a name. */
export const insertFrame = async (sql: Sql, slug: string, name: string): Promise<string> => {
  for (;;) {
    const { rows } = await sql.query<{ number: number }>(
      "insert into ids as kept (slug, number) values ($1, 1) on conflict (slug) do update set number = kept.number + 1 returning number",
      [slug],
    );
    const { number } = sure(rows[0]);
    const made = await sql.query<{ id: string }>(
      "insert into frames (id, name, revision) values ($1, $2, 1) on conflict do nothing returning id",
      [number === 1 ? slug : `${slug}-${number}`, name],
    );
    if (made.rows[0]) return made.rows[0].id;
  }
};

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

/** What a revision is known by to be as it was written: SHA-256 over its frame, number and key and its texts, by lines. */
export const sumOf = (frame: string, number: number, key: string, texts: readonly (string | null)[]): string =>
  createHash("sha256")
    .update([frame, number, key, ...texts.map((text) => text ?? "")].join("\n"))
    .digest("hex");

/** Several revisions by one statement. */
export const insertRevisions = async (sql: Sql, frame: string, revisions: readonly NewRevision[]): Promise<void> => {
  const made = revisions.map(({ number, key, label, edit, inverse, snapshot }) => {
    const texts = [json(edit), json(inverse), json(snapshot)] as const;
    return [number, key, label, ...texts, sumOf(frame, number, key, texts)] as const;
  });
  await sql.query(
    `insert into revisions (frame, number, key, label, edit, inverse, snapshot, sum)
     select $1, number, key, label, edit::json, inverse::json, snapshot::json, sum
     from unnest($2::integer[], $3::text[], $4::text[], $5::text[], $6::text[], $7::text[], $8::text[])
       as new (number, key, label, edit, inverse, snapshot, sum)`,
    [frame, ...([0, 1, 2, 3, 4, 5, 6] as const).map((column) => made.map((row) => row[column]))],
  );
};

/** Those of these keys that edits of the frame have. */
export const knownKeys = async (sql: Sql, frame: string, keys: readonly string[]): Promise<string[]> =>
  (
    await sql.query<{ key: string }>("select key from revisions where frame = $1 and key = any($2::text[])", [
      frame,
      keys,
    ])
  ).rows.map(({ key }) => key);

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
    await sql.query("update revisions set label = $3, named = true where frame = $1 and number = $2 returning number", [
      frame,
      number,
      label,
    ])
  ).rows.length > 0;

/** The edits since a revision; null where some of them are not kept any more. */
export const missedSince = async (sql: Sql, frame: string, revision: number): Promise<MissedRow[] | null> => {
  const { rows } = await sql.query<MissedRow>(
    "select number, key, label, edit from revisions where frame = $1 and number > $2 and edit is not null order by number",
    [frame, revision],
  );
  const newest = rows.at(-1)?.number ?? revision;
  return newest - revision === rows.length ? rows : null;
};

/** The revisions before one that are kept whatever their number: those that a person named, and that which stands in the file. */
export const markedBefore = async (
  sql: Sql,
  frame: string,
  before: number,
  inFile: number | null,
): Promise<StoredRevision[]> =>
  (
    await sql.query<StoredRevision>(
      "select number, key, edit, inverse, snapshot from revisions where frame = $1 and number < $2 and (named or number = $3) order by number",
      [frame, before, inFile],
    )
  ).rows;

/** Takes out what is thinned before a revision: what has no snapshot, and of what is older than `fine` all whose number is no multiple of `coarse`. Answers how many. */
export const deleteThinned = async (
  sql: Sql,
  frame: string,
  before: number,
  fine: number,
  coarse: number,
  inFile: number | null,
): Promise<number> =>
  (
    await sql.query(
      `delete from revisions where frame = $1 and number > 1 and number < $2 and not named and number <> coalesce($5, 0)
       and (snapshot is null or (number < $3 and number % $4 <> 0)) returning number`,
      [frame, before, fine, coarse, inFile],
    )
  ).rows.length;

/** Takes out frames that were deleted so many days ago, with all their revisions. Answers how many. */
export const deleteEmptied = async (sql: Sql, days: number): Promise<number> => {
  const long = "select id from frames where deleted < now() - make_interval(days => $1)";
  await sql.query(`delete from revisions where frame in (${long})`, [days]);
  return (await sql.query("delete from frames where deleted < now() - make_interval(days => $1) returning id", [days]))
    .rows.length;
};

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
  key: string;
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
      "select number, key, edit, inverse, snapshot from revisions where frame = $1 order by number",
      [frame],
    )
  ).rows;

/** Puts a revision in another format in the place of the one that was stored. */
export const putRevision = async (sql: Sql, frame: string, revision: StoredRevision): Promise<void> => {
  const { number, key, edit, inverse, snapshot } = revision;
  const texts = [json(edit), json(inverse), json(snapshot)];
  await sql.query(
    "update revisions set edit = $3::text::json, inverse = $4::text::json, snapshot = $5::text::json, sum = $6 where frame = $1 and number = $2",
    [frame, number, ...texts, sumOf(frame, number, key, texts)],
  );
};

/** A revision as it is written, each of its values as the text it is stored as. */
export interface WrittenRevision {
  number: number;
  key: string;
  label: string;
  made: Date;
  edit: string | null;
  inverse: string | null;
  snapshot: string | null;
  sum: string;
  /** A person named it. */
  named: boolean;
}

/** Puts a frame's row as it was written elsewhere. */
export const putFrame = async (
  sql: Sql,
  {
    id,
    name,
    revision,
    made,
    changed,
    deleted,
  }: Pick<FrameRow, "id" | "name" | "revision"> & Record<"made" | "changed", string> & { deleted: string | null },
): Promise<void> => {
  await sql.query("insert into frames (id, name, revision, made, changed, deleted) values ($1, $2, $3, $4, $5, $6)", [
    id,
    name,
    revision,
    made,
    changed,
    deleted,
  ]);
};

/** Puts a revision as it was written elsewhere. */
export const putWritten = async (
  sql: Sql,
  frame: string,
  { number, key, label, made, edit, inverse, snapshot, sum, named }: Omit<WrittenRevision, "made"> & { made: string },
): Promise<void> => {
  await sql.query(
    `insert into revisions (frame, number, key, label, made, edit, inverse, snapshot, sum, named)
     values ($1, $2, $3, $4, $5, $6::text::json, $7::text::json, $8::text::json, $9, $10)`,
    [frame, number, key, label, made, edit, inverse, snapshot, sum, named],
  );
};

/** So many revisions after one, the oldest first. */
export const writtenAfter = async (sql: Sql, frame: string, number: number, most: number): Promise<WrittenRevision[]> =>
  (
    await sql.query<WrittenRevision>(
      `select number, key, label, made, edit::text, inverse::text, snapshot::text, sum, named
       from revisions where frame = $1 and number > $2 order by number limit $3`,
      [frame, number, most],
    )
  ).rows;

/** The newest snapshot at or before a revision, and the edits from there up to it; undefined where the revision is not kept. */
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
  // some on the way were thinned, and the revision with them
  if (rows.length !== revision - row.number) return undefined;
  return { snapshot: row.snapshot, edits: rows.map(({ edit }) => edit) };
};
