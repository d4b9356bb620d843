import { randomUUID } from "node:crypto";
import { applyEach, type Frame, plainFrame } from "../../core/index.js";
import { applyAllChecked, type SaveRequest } from "../../shape/edits.js";
import type { Database, Sql } from "../database.js";
import { FrameFile } from "../files/frame-file.js";
import type { FileState } from "../files/state.js";
import { Problem } from "../problem.js";
import * as rows from "./repository.js";

/** A whole snapshot is kept this often, so that any revision is a few edits away. */
const snapshotEvery = 50;
/** So many keys of the newest edits are told to who opens a frame. */
const keysTold = 300;

/** A frame as it stands. */
export interface Head {
  id: string;
  revision: number;
  frame: Frame;
}

/** A frame as those who open it are told of it. */
export type Opened = Head & {
  deleted: boolean;
  file: FileState | null;
  /** The keys of the newest edits, by which a window knows what of its own has arrived. */
  keys: string[];
};

/** Something that happened to a frame, told to everyone who has it open. */
export type Happening =
  | { kind: "revisions"; frame: string; revision: number; edits: rows.MissedRow[] }
  | { kind: "deleted" | "back"; frame: string; revision: number }
  | { kind: "file"; frame: string; revision: number; file: FileState };

const slugOf = (name: string): string =>
  name
    .normalize("NFKD")
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, "-")
    .replaceAll(/^-+|-+$/g, "")
    .slice(0, 48) || "frame";

/** The frames in the database: what is asked of them and what is done to them. Holds the heads it has seen in memory. */
export class FrameStore {
  private readonly heads = new Map<string, Head>();
  private readonly files = new Map<string, FrameFile>();
  private readonly listeners = new Set<(happening: Happening) => void>();
  /** Set when something was written since the last clean-up. */
  dirty = false;

  constructor(private readonly database: Database) {}

  listen(listener: (happening: Happening) => void): () => void {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }

  /** How many follow what happens. */
  get listening(): number {
    return this.listeners.size;
  }

  private tell(happening: Happening): void {
    for (const listener of this.listeners) listener(happening);
  }

  list(): Promise<rows.FrameRow[]> {
    return rows.listFrames(this.database);
  }

  private async row(sql: Sql, id: string, lock = false): Promise<rows.FrameRow> {
    const row = await rows.findFrame(sql, id, lock);
    if (!row) throw new Problem("no-frame", `There is no frame ${id}.`);
    return row;
  }

  /** The frame at a revision that is there. */
  private async frameAt(sql: Sql, id: string, revision: number): Promise<Frame> {
    const found = await rows.snapshotBefore(sql, id, revision);
    if (!found) throw new Problem("no-revision", `${id} has no revision ${revision}.`);
    const { frame, results } = applyEach(found.snapshot, found.edits);
    const refused = results.find((result) => !result.ok);
    if (refused && !refused.ok)
      throw new Error(`revision of ${id} cannot be applied again: ${JSON.stringify(refused.faults)}`);
    return frame;
  }

  private async head(sql: Sql, row: rows.FrameRow): Promise<Head> {
    const known = this.heads.get(row.id);
    if (known?.revision === row.revision) return known;
    const head = { id: row.id, revision: row.revision, frame: await this.frameAt(sql, row.id, row.revision) };
    this.heads.set(row.id, head);
    return head;
  }

  async read(id: string): Promise<Opened> {
    const row = await this.row(this.database, id);
    const head = await this.head(this.database, row);
    const keys = await rows.recentKeys(this.database, id, keysTold);
    return { ...head, deleted: row.deleted !== null, file: this.files.get(id)?.state ?? null, keys };
  }

  /** Whether a frame was kept in the file before. */
  async isKept(path: string): Promise<boolean> {
    return (await rows.findByFile(this.database, path)) !== undefined;
  }

  /** Keeps a frame in a file from now on: the frame that was kept in it before, else a new one made of `frame`, which must be there then. Answers its id. */
  async keepIn(path: string, frame: Frame | null): Promise<string> {
    let row = await rows.findByFile(this.database, path);
    if (!row) {
      if (!frame) throw new Error(`${path} was never kept, and there is no frame to keep in it`);
      const { id, revision } = await this.create(frame);
      await rows.setFile(this.database, id, path, revision);
      row = await this.row(this.database, id);
    }
    const { id } = row;
    if (row.deleted) await this.setDeleted(id, false);
    const file = new FrameFile(
      path,
      {
        head: () => this.read(id),
        save: (on, edits) => this.commit(id, on, edits),
        inStep: (revision) => rows.setFile(this.database, id, path, revision),
        tell: (state) =>
          this.tell({ kind: "file", frame: id, revision: this.heads.get(id)?.revision ?? 0, file: state }),
      },
      await this.readAt(id, row.fileRevision ?? row.revision),
    );
    this.files.set(id, file);
    await file.open();
    return id;
  }

  async closeFiles(): Promise<void> {
    await Promise.all([...this.files.values()].map((file) => file.close()));
    this.files.clear();
  }

  async readAt(id: string, revision: number): Promise<Head> {
    const row = await this.row(this.database, id);
    if (revision > row.revision)
      throw new Problem("no-revision", `${id} has no revision ${revision}; the newest is ${row.revision}.`);
    return { id, revision, frame: await this.frameAt(this.database, id, revision) };
  }

  /** Keeps a new frame, under an id made from its name. */
  async create(frame: Frame): Promise<Head> {
    const slug = slugOf(frame.name);
    return this.database.transaction(async (sql) => {
      for (let n = 1; ; n += 1) {
        const id = n === 1 ? slug : `${slug}-${n}`;
        if (!(await rows.insertFrame(sql, id, frame.name))) continue;
        const plain = plainFrame(frame);
        await rows.insertRevision(sql, id, {
          number: 1,
          key: randomUUID(),
          label: "Put on the shelf",
          edit: null,
          inverse: null,
          snapshot: plain,
        });
        await rows.setRevision(sql, id, 1, frame.name);
        this.dirty = true;
        return { id, revision: 1, frame: plain };
      }
    });
  }

  /** Applies edits made on a revision; on another one than the newest, nothing is done and what was missed is said. */
  save(id: string, on: number, edits: SaveRequest["edits"]): Promise<Head> {
    const change = () => this.commit(id, on, edits);
    return this.files.get(id)?.around(change) ?? change();
  }

  private async commit(id: string, on: number, edits: SaveRequest["edits"]): Promise<Head> {
    const saved = await this.database.transaction(async (sql) => {
      const row = await this.row(sql, id, true);
      if (row.deleted) throw new Problem("no-frame", `${id} was deleted. It can be brought back from the shelf.`);
      if (row.revision !== on)
        throw new Problem(
          "stale",
          `The edits were made on revision ${on}; the newest is ${row.revision}. Nothing was changed.`,
          {
            revision: row.revision,
            missed: await rows.missedSince(sql, id, on),
          },
        );
      let { frame, revision } = await this.head(sql, row);
      // those up to the next snapshot are made on one copy of the frame
      for (let left = edits; left.length > 0;) {
        const now = left.slice(0, snapshotEvery - (revision % snapshotEvery));
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
          revision += 1;
          const snapshot = revision % snapshotEvery === 0 ? plainFrame(frame) : null;
          await rows.insertRevision(sql, id, { number: revision, key, label, edit, inverse: result.inverse, snapshot });
        }
      }
      await rows.setRevision(sql, id, revision, frame.name);
      return { id, revision, frame };
    });
    this.heads.set(id, saved);
    this.dirty = true;
    const told = edits.map(({ key, label, edit }, i) => ({ number: on + 1 + i, key, label, edit }));
    this.tell({ kind: "revisions", frame: id, revision: saved.revision, edits: told });
    return saved;
  }

  async revisions(id: string, before: number, most: number): Promise<rows.RevisionRow[]> {
    await this.row(this.database, id);
    return rows.listRevisions(this.database, id, before, most);
  }

  async missed(id: string, since: number): Promise<rows.MissedRow[]> {
    return rows.missedSince(this.database, id, since);
  }

  async nameRevision(id: string, revision: number, label: string): Promise<void> {
    if (!(await rows.setLabel(this.database, id, revision, label)))
      throw new Problem("no-revision", `${id} has no revision ${revision}.`);
  }

  async setDeleted(id: string, deleted: boolean): Promise<void> {
    const row = await this.row(this.database, id);
    await rows.setDeleted(this.database, id, deleted);
    this.tell({ kind: deleted ? "deleted" : "back", frame: id, revision: row.revision });
  }
}
