import { randomUUID } from "node:crypto";
import { applyEach, type Frame, plainFrame, sure } from "../../core/index.js";
import type { SaveRequest } from "../../shape/edits.js";
import type { Database, Sql } from "../database/database.js";
import { FrameFile } from "../files/frame-file.js";
import type { FileState } from "../files/state.js";
import { Problem } from "../problem.js";
import { Heads } from "./heads.js";
import * as rows from "./repository.js";
import { type Head, revisionsOf } from "./revisions.js";

/** So many keys of the newest edits are told to who opens a frame. */
const keysTold = 300;

/** A frame as those who open it are told of it. */
export type Opened = Head & {
  deleted: boolean;
  file: FileState | null;
  /** The keys of the newest edits, by which a window knows what of its own has arrived. */
  keys: string[];
};

/** Something that happened to a frame, told to everyone who has it open. */
export type FrameHappening =
  | { kind: "revisions"; frame: string; revision: number; edits: rows.MissedRow[] }
  /** What was done since the revision that its reader knows is not kept any more, edit by edit. */
  | { kind: "thinned"; frame: string; revision: number }
  | { kind: "deleted" | "back"; frame: string; revision: number }
  | { kind: "file"; frame: string; revision: number; file: FileState };
/** The same, or that something may have happened which was not heard of. */
export type Happening = FrameHappening | { kind: "unheard" };

/** What another server on the same database is told of a frame. */
type OthersNews =
  | { kind: "revisions"; frame: string; on: number; revision: number }
  | { kind: "deleted" | "back"; frame: string; revision: number };
/** The same, with the server that it is from. */
type News = OthersNews & { from: string };

const slugOf = (name: string): string =>
  name
    .normalize("NFKD")
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, "-")
    .replaceAll(/^-+|-+$/g, "")
    .slice(0, 48) || "frame";

/** The frames in the database: what is asked of them and what is done to them. Holds the heads it has seen lately in memory. */
export class FrameStore {
  private readonly heads = new Heads();
  private readonly files = new Map<string, FrameFile>();
  private readonly listeners = new Set<(happening: Happening) => void>();
  /** Set when something was written since the last clean-up. */
  dirty = false;

  /** What is told to other servers comes back here too, and is known by this. */
  private readonly own = randomUUID();
  /** What is heard is told one after another. */
  private heard: Promise<unknown> = Promise.resolve();

  constructor(private readonly database: Database) {}

  /** Follows what other servers on the same database do. */
  async hearOthers(log: (error: unknown) => void): Promise<void> {
    await this.database.news?.hear(
      (text) => (this.heard = this.heard.then(() => this.hear(JSON.parse(text))).catch(log)),
      () => this.tell({ kind: "unheard" }),
    );
  }

  private async hear(news: News): Promise<void> {
    const { from, frame, revision, kind } = news;
    if (from === this.own) return;
    if (kind !== "revisions") return this.tell({ kind, frame, revision });
    const missed = await rows.missedSince(this.database, frame, news.on);
    const edits = missed?.filter(({ number }) => number <= revision);
    this.tell(edits ? { kind, frame, revision, edits } : { kind: "unheard" });
  }

  private async tellOthers(sql: Sql, news: OthersNews): Promise<void> {
    await this.database.news?.tell(sql, JSON.stringify({ from: this.own, ...news }));
  }

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
  private async frameAt(id: string, revision: number): Promise<Frame> {
    const found = await rows.snapshotBefore(this.database, id, revision);
    if (!found)
      throw new Problem(
        "no-revision",
        `${id} has no revision ${revision}, or it was thinned: of older ones some are kept.`,
      );
    const { frame, results } = applyEach(found.snapshot, found.edits);
    const refused = results.find((result) => !result.ok);
    if (refused && !refused.ok)
      throw new Error(`revision of ${id} cannot be applied again: ${JSON.stringify(refused.faults)}`);
    return frame;
  }

  /** The frame at its newest revision, by its row as it was read outside of any transaction. */
  private async head(row: rows.FrameRow): Promise<Head> {
    const known = this.heads.get(row.id);
    if (known?.revision === row.revision) return known;
    const head = { id: row.id, revision: row.revision, frame: await this.frameAt(row.id, row.revision) };
    this.heads.keep(head);
    return head;
  }

  async read(id: string): Promise<Opened> {
    const row = await this.row(this.database, id);
    const head = await this.head(row);
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
      await this.setFile(id, path, revision);
      row = await this.row(this.database, id);
    }
    const { id } = row;
    if (row.deleted) await this.setDeleted(id, false);
    const file = new FrameFile(
      path,
      {
        head: () => this.read(id),
        save: (on, edits) => this.commit(id, on, edits),
        inStep: (revision) => this.setFile(id, path, revision),
        tell: (state) =>
          this.tell({ kind: "file", frame: id, revision: this.heads.get(id)?.revision ?? 0, file: state }),
      },
      await this.readAt(id, row.fileRevision ?? row.revision),
    );
    this.files.set(id, file);
    await file.open();
    return id;
  }

  private setFile(id: string, path: string, revision: number): Promise<void> {
    return this.database.transaction((sql) => rows.setFile(sql, id, path, revision));
  }

  async closeFiles(): Promise<void> {
    await Promise.all([...this.files.values()].map((file) => file.close()));
    this.files.clear();
  }

  async readAt(id: string, revision: number): Promise<Head> {
    const row = await this.row(this.database, id);
    if (revision > row.revision)
      throw new Problem("no-revision", `${id} has no revision ${revision}; the newest is ${row.revision}.`);
    return { id, revision, frame: await this.frameAt(id, revision) };
  }

  /** Keeps a new frame, under an id made from its name. */
  async create(frame: Frame): Promise<Head> {
    const plain = plainFrame(frame);
    const id = await this.database.transaction(async (sql) => {
      const id = await rows.insertFrame(sql, slugOf(frame.name), frame.name);
      const first = { number: 1, key: randomUUID(), label: "Put on the shelf", edit: null, inverse: null };
      await rows.insertRevisions(sql, id, [{ ...first, snapshot: plain }]);
      return id;
    });
    this.dirty = true;
    return { id, revision: 1, frame: plain };
  }

  /** Applies edits made on a revision; on another one than the newest, nothing is done and what was missed is said. */
  save(id: string, on: number, edits: SaveRequest["edits"]): Promise<Head> {
    const change = () => this.commit(id, on, edits);
    return this.files.get(id)?.around(change) ?? change();
  }

  /** Throws what `save` would on the newest revision, and changes nothing. */
  async tryOut(id: string, edits: SaveRequest["edits"]): Promise<void> {
    await revisionsOf(await this.head(await this.row(this.database, id)), edits);
  }

  private async commit(id: string, on: number, edits: SaveRequest["edits"]): Promise<Head> {
    const row = await this.row(this.database, id);
    await this.refuse(this.database, row, on);
    // what takes long is done before, and the frame may have gone on meanwhile: then nothing of it is kept
    const { frame, revisions } = await revisionsOf(await this.head(row), edits);
    const saved = { id, revision: on + edits.length, frame };
    await this.database.transaction(async (sql) => {
      await this.refuse(sql, await this.row(sql, id, true), on);
      await this.refuseKnown(sql, id, edits);
      await rows.insertRevisions(sql, id, revisions);
      await rows.setRevision(sql, id, saved.revision, frame.name);
      await this.tellOthers(sql, { kind: "revisions", frame: id, on, revision: saved.revision });
    });
    this.heads.keep(saved);
    this.dirty = true;
    const told = revisions.map(({ number, key, label, edit }) => ({ number, key, label, edit: sure(edit) }));
    this.tell({ kind: "revisions", frame: id, revision: saved.revision, edits: told });
    return saved;
  }

  /** Throws where edits cannot be made on a frame as its row has it. */
  private async refuse(sql: Sql, row: rows.FrameRow, on: number): Promise<void> {
    const { id, deleted, revision } = row;
    if (deleted) throw new Problem("no-frame", `${id} was deleted. It can be brought back from the shelf.`);
    if (revision !== on)
      throw new Problem(
        "stale",
        `The edits were made on revision ${on}; the newest is ${revision}. Nothing was changed.`,
        { revision, missed: await rows.missedSince(sql, id, on) },
      );
  }

  /** Throws where edits were accepted before. */
  private async refuseKnown(sql: Sql, id: string, edits: SaveRequest["edits"]): Promise<void> {
    const keys = await rows.knownKeys(
      sql,
      id,
      edits.map(({ key }) => key),
    );
    if (keys.length)
      throw new Problem("sent-before", "An edit is accepted once. Send the others without it; nothing was changed.", {
        keys,
      });
  }

  async revisions(id: string, before: number, most: number): Promise<rows.RevisionRow[]> {
    await this.row(this.database, id);
    return rows.listRevisions(this.database, id, before, most);
  }

  async missed(id: string, since: number): Promise<rows.MissedRow[] | null> {
    return rows.missedSince(this.database, id, since);
  }

  async nameRevision(id: string, revision: number, label: string): Promise<void> {
    if (!(await this.database.transaction((sql) => rows.setLabel(sql, id, revision, label))))
      throw new Problem("no-revision", `${id} has no revision ${revision}.`);
  }

  async setDeleted(id: string, deleted: boolean): Promise<void> {
    const row = await this.row(this.database, id);
    const told = { kind: deleted ? "deleted" : "back", frame: id, revision: row.revision } as const;
    await this.database.transaction(async (sql) => {
      await rows.setDeleted(sql, id, deleted);
      await this.tellOthers(sql, told);
    });
    this.tell(told);
  }
}
