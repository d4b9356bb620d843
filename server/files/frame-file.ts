import { randomUUID } from "node:crypto";
import { readFile, stat } from "node:fs/promises";
import { basename } from "node:path";
import { differencesOf, editBetween, equal, type Frame, writeFrame } from "../../core/index.js";
import { mostBytes } from "../../shape/json.js";
import { readFrame } from "../../shape/read.js";
import type { SaveRequest } from "../../shape/edits.js";
import type { FileStanding, FileState } from "./state.js";
import { writeWhole } from "./write-whole.js";

/** What a file needs of the frame that is kept in it. */
export interface Kept {
  /** The newest frame. */
  head: () => Promise<{ revision: number; frame: Frame }>;
  /** Makes edits on it, past the file. */
  save: (on: number, edits: SaveRequest["edits"]) => Promise<{ revision: number; frame: Frame }>;
  /** Remembers which revision stands in the file. */
  inStep: (revision: number) => Promise<void>;
  /** Tells everyone who has the frame open. */
  tell: (state: FileState) => void;
}

/** What a file looked like when it was last read or written: another look means another hand. */
interface Look {
  changed: number;
  size: number;
  inode: number;
}

const lookOf = async (path: string): Promise<Look | null> => {
  try {
    const { mtimeMs, size, ino } = await stat(path);
    return { changed: mtimeMs, size, inode: ino };
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === "ENOENT") return null;
    throw error;
  }
};

/** A changed file is noticed after this long at most, ms. */
const lookEvery = 350;
const mostSaid = 4;

/** A frame kept in a file of the person's own: changes go into it at once, and those made in it from outside are taken in. */
export class FrameFile {
  private standing: FileStanding = { is: "in step" };
  private known: Look | null = null;
  private work: Promise<unknown> = Promise.resolve();
  private timer: NodeJS.Timeout | undefined;
  /** A text that could not be read at the last look: it may be half written, so it is looked at once more before it is told. */
  private doubtful: Look | null = null;

  /** `base` is the frame that stood in the file when both were last in step. */
  constructor(
    readonly path: string,
    private readonly kept: Kept,
    private base: Frame,
  ) {}

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
    await this.work;
  }

  /** Makes a change with the file in step before it and after it. */
  around<T extends { revision: number; frame: Frame }>(change: () => Promise<T>): Promise<T> {
    return this.alone(async () => {
      await this.look();
      const head = await change();
      await this.write(head);
      return head;
    });
  }

  /** Reads the file if another hand was in it. */
  private async look(isFirst = false): Promise<void> {
    try {
      const look = await lookOf(this.path);
      if (!look) {
        this.known = null;
        return this.stand({ is: "gone" });
      }
      if (!isFirst && equal(look, this.known)) return;
      await this.read(look, isFirst);
    } catch (error) {
      this.stand({ is: "out of reach", why: (error as Error).message });
    }
  }

  private async read(look: Look, isFirst: boolean): Promise<void> {
    const text = look.size > mostBytes ? "" : await readFile(this.path);
    const read = readFrame(text);
    if (!read.ok) {
      if (!isFirst && !equal(look, this.doubtful)) {
        this.doubtful = look;
        return;
      }
      this.known = look;
      return this.stand({ is: "broken", faults: read.faults });
    }
    this.known = look;
    this.doubtful = null;
    const head = await this.kept.head();
    const after = equal(read.frame, this.base) ? head : await this.takeIn(head, read.frame);
    this.base = read.frame;
    if (equal(after.frame, read.frame)) {
      await this.kept.inStep(after.revision);
      return this.stand({ is: "in step" });
    }
    // changes from inside that the file did not have yet
    await this.write(after, true);
  }

  /** What was changed in the file becomes a revision, laid on what was changed here meanwhile. */
  private async takeIn(
    head: { revision: number; frame: Frame },
    outside: Frame,
  ): Promise<{ revision: number; frame: Frame }> {
    const said = differencesOf(this.base, outside).map(({ says }) => says);
    const more = said.length > mostSaid ? ` and ${said.length - mostSaid} more` : "";
    const label = `${basename(this.path)}: ${said.slice(0, mostSaid).join("; ")}${more}`.slice(0, 200);
    const save = (edit: SaveRequest["edits"][number]["edit"]) =>
      this.kept.save(head.revision, [{ key: randomUUID(), label, edit }]);
    try {
      return await save(editBetween(this.base, outside));
    } catch {
      // the two cannot stand together: the file, which its person sees, is what holds; the other stays in the history
      return save(editBetween(head.frame, outside));
    }
  }

  private async write({ revision, frame }: { revision: number; frame: Frame }, isRead = false): Promise<void> {
    // what cannot be read is somebody's work under way: it is left alone
    if (this.standing.is === "broken" && !isRead) return;
    try {
      // another hand is in it just now, or what it wrote is not whole yet: the next look brings both together
      const there = await lookOf(this.path);
      if (there && !equal(there, this.known)) return;
      await writeWhole(this.path, writeFrame(frame));
      this.known = await lookOf(this.path);
      this.base = frame;
      await this.kept.inStep(revision);
      this.stand({ is: "in step" });
    } catch (error) {
      this.stand({ is: "out of reach", why: (error as Error).message });
    }
  }
}
