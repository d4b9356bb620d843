import { messageOf } from "../errors.js";
import { randomUUID } from "node:crypto";
import { closeSync } from "node:fs";
import { open } from "node:fs/promises";
import { basename } from "node:path";
import { differencesOf, editBetween, equal, type Frame, plainFrame, writeFrame, sure } from "../../core/index.js";
import { mostBytes } from "../../shape/json.js";
import { readFrame, readingFrame } from "../../shape/read.js";
import type { SaveRequest } from "../../shape/edits.js";
import { inSlices } from "../in-slices.js";
import { isSameLook, type Look, lookAt } from "./look.js";
import { Replaced } from "./replaced.js";
import type { AtRevision, FileStanding, FileState } from "./state.js";
import { writeWhole } from "./write-whole.js";

/** What a file needs of the frame that is kept in it. */
export interface Kept {
  /** The newest frame. */
  head: () => Promise<AtRevision>;
  /** Makes edits on it, past the file. */
  save: (on: number, edits: SaveRequest["edits"]) => Promise<AtRevision>;
  /** Remembers which revision stands in the file. */
  inStep: (revision: number) => Promise<void>;
  /** Tells everyone who has the frame open. */
  tell: (state: FileState) => void;
}

/** A changed file is noticed after this long at most, ms. */
const lookEvery = 350;
/** Two changes this close together may bear the same time, so the look alone does not tell them apart, ms. */
const sameTick = 50;
const mostSaid = 4;

/** The first bytes of a file: what is longer than it may be need not be read whole to be told so. */
const readUpTo = async (path: string, most: number): Promise<Buffer> => {
  const file = await open(path);
  try {
    const { size } = await file.stat();
    const bytes = Buffer.alloc(Math.min(size, most));
    const { bytesRead } = await file.read(bytes, 0, bytes.length, 0);
    return bytes.subarray(0, bytesRead);
  } finally {
    await file.close();
  }
};

/** A frame kept in a file of the person's own: changes go into it at once, and those made in it from outside are taken in. */
export class FrameFile {
  private standing: FileStanding = { is: "in step" };
  /** How the file looked, and what stood in it, when it was last read or written; settled once that was so for a while. */
  private known: { look: Look; bytes: Buffer; at: number; settled: boolean } | null = null;
  private work: Promise<unknown> = Promise.resolve();
  private timer: NodeJS.Timeout | undefined;
  /** A text that could not be read at the last look: it may be half written, so it is looked at once more before it is told. */
  private doubtful: Look | null = null;
  private readonly replaced: Replaced[] = [];
  private base: Frame;
  private revision: number;

  /** `base` is what stood in the file when both were last in step. */
  constructor(
    readonly path: string,
    private readonly kept: Kept,
    base: AtRevision,
  ) {
    this.base = plainFrame(base.frame);
    this.revision = base.revision;
  }

  get state(): FileState {
    return { ...this.standing, name: basename(this.path), path: this.path };
  }

  /** One thing at a time: looks from outside and changes from inside never cross. */
  private alone<T>(work: () => Promise<T>): Promise<T> {
    const done = this.work.then(work);
    this.work = done.catch(() => undefined);
    return done;
  }

  private stand(standing: FileStanding): void {
    if (equal(standing, this.standing)) return;
    this.standing = standing;
    this.kept.tell(this.state);
  }

  /** Takes in what stands in the file, and goes on looking until it is closed. */
  async open(): Promise<void> {
    await this.alone(() => this.look(true));
    this.timer = setInterval(() => void this.alone(() => this.look()).catch(() => undefined), lookEvery);
    this.timer.unref();
  }

  async close(): Promise<void> {
    clearInterval(this.timer);
    await this.alone(() => this.look());
    for (const each of this.replaced.splice(0)) each.close();
  }

  /** Makes a change with the file in step before it and after it. */
  around<T extends AtRevision>(change: () => Promise<T>): Promise<T> {
    return this.alone(async () => {
      await this.look();
      const head = await change();
      await this.write(head);
      return head;
    });
  }

  /** Reads the file if another hand was in it, and the files before it, which another hand may still have been in. */
  private async look(isFirst = false): Promise<void> {
    try {
      await this.lookBack();
      const look = await lookAt(this.path);
      if (!look) {
        this.known = null;
        return this.stand({ is: "gone" });
      }
      const isSame = !isFirst && this.known !== null && isSameLook(look, this.known.look);
      if (isSame && sure(this.known).settled) return;
      const bytes = await readUpTo(this.path, mostBytes + 1);
      if (isSame && bytes.equals(sure(this.known).bytes)) {
        sure(this.known).settled = Date.now() - sure(this.known).at > sameTick;
        return;
      }
      await this.read(look, bytes, isFirst);
    } catch (error) {
      this.lose(error);
    }
  }

  /** Something came in between: nothing is known of the file now, so that the next look reads it anew and brings both together. */
  private lose(error: unknown): void {
    this.known = null;
    this.stand({ is: "out of reach", why: messageOf(error) });
  }

  /** What another hand wrote to a file that had just been replaced is taken in too, as a change of what had stood there. */
  private async lookBack(): Promise<void> {
    for (const each of [...this.replaced]) {
      const bytes = each.changed();
      const read = bytes && readFrame(bytes);
      if (read?.ok) {
        const after = await this.takeIn(await this.kept.head(), each.base.frame, read.frame);
        each.tookIn(read.frame);
        await this.write(after);
      }
      if (!each.isQuiet) continue;
      this.replaced.splice(this.replaced.indexOf(each), 1);
      await this.putBack(each);
      each.close();
    }
  }

  /** What another hand wrote and cannot be read stands in the file again, as if it had not been replaced: it is for them to mend. */
  private async putBack({ unread, base }: Replaced): Promise<void> {
    if (!unread || !this.known) return;
    const written = await writeWhole(this.path, unread, this.known.look);
    if (!written) return;
    if (written.replaced !== null) closeSync(written.replaced);
    this.known = null;
    this.base = base.frame;
    await this.kept.inStep(base.revision);
  }

  private async read(look: Look, bytes: Buffer, isFirst: boolean): Promise<void> {
    const read = await inSlices(readingFrame(bytes));
    if (!read.ok) {
      if (!isFirst && !isSameLook(look, this.doubtful)) {
        this.doubtful = look;
        return;
      }
      this.know(look, bytes);
      return this.stand({ is: "broken", faults: read.faults });
    }
    this.know(look, bytes);
    this.doubtful = null;
    const head = await this.kept.head();
    const after = await this.takeIn(head, this.base, read.frame);
    this.base = read.frame;
    if (equal(plainFrame(after.frame), read.frame)) {
      await this.kept.inStep(after.revision);
      this.revision = after.revision;
      return this.stand({ is: "in step" });
    }
    // changes from inside that the file did not have yet
    await this.write(after, true);
  }

  private know(look: Look, bytes: Buffer): void {
    this.known = { look, bytes, at: Date.now(), settled: false };
  }

  /** What was changed in a file becomes a revision, laid on what was changed here meanwhile. */
  private async takeIn(head: AtRevision, base: Frame, outside: Frame): Promise<AtRevision> {
    if (equal(outside, base)) return head;
    const said = differencesOf(base, outside).map(({ says }) => says);
    const more = said.length > mostSaid ? ` and ${said.length - mostSaid} more` : "";
    const label = `${basename(this.path)}: ${said.slice(0, mostSaid).join("; ")}${more}`.slice(0, 200);
    const save = (edit: SaveRequest["edits"][number]["edit"]) =>
      this.kept.save(head.revision, [{ key: randomUUID(), label, edit }]);
    try {
      return await save(editBetween(base, outside));
    } catch {
      // the two cannot stand together: the file, which its person sees, is what holds; the other stays in the history
      return save(editBetween(head.frame, outside));
    }
  }

  private async write({ revision, frame }: AtRevision, isRead = false): Promise<void> {
    // what cannot be read is somebody's work under way: it is left alone
    if (this.standing.is === "broken" && !isRead) return;
    try {
      const text = writeFrame(frame);
      const written = await writeWhole(this.path, text, this.known?.look ?? null);
      // another hand is in it just now, or what it wrote is not whole yet: the next look brings both together
      if (!written) {
        this.known = null;
        return;
      }
      if (written.replaced !== null)
        this.replaced.push(
          new Replaced(written.replaced, sure(this.known).bytes, { revision: this.revision, frame: this.base }),
        );
      this.know(written.look, Buffer.from(text));
      this.base = plainFrame(frame);
      this.revision = revision;
      await this.kept.inStep(revision);
      this.stand({ is: "in step" });
    } catch (error) {
      this.lose(error);
    }
  }
}
