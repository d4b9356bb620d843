import { closeSync, fstatSync, readSync } from "node:fs";
import type { Frame } from "../../core/index.js";
import type { AtRevision } from "./state.js";
import { mostBytes } from "../../shape/json.js";

/** Another hand that had the file open may still write to it for so long after it was replaced, ms. */
const heldFor = 1200;

/** A file that was replaced by a newer one, held open until nobody can be in it any more. */
export class Replaced {
  private since = Date.now();
  /** What another hand wrote to it and could not be read as a frame so far. */
  unread: Buffer | null = null;

  constructor(
    private readonly file: number,
    /** What was known to stand in it when it was replaced. */
    private bytes: Buffer,
    /** The same as a frame. */
    public base: AtRevision,
  ) {}

  /** The bytes that another hand has written to it since it was looked at last; null when none has. */
  changed(): Buffer | null {
    const size = Number(fstatSync(this.file).size);
    const bytes = Buffer.alloc(Math.min(size, mostBytes + 1));
    const now = bytes.subarray(0, readSync(this.file, bytes, 0, bytes.length, 0));
    if (now.equals(this.bytes)) return null;
    this.bytes = now;
    this.unread = now;
    this.since = Date.now();
    return now;
  }

  /** What stands in it was read, and is known now. */
  tookIn(frame: Frame): void {
    this.base = { ...this.base, frame };
    this.unread = null;
  }

  /** Whether it has not changed for so long that nobody is in it. */
  get isQuiet(): boolean {
    return Date.now() - this.since > heldFor;
  }

  close(): void {
    closeSync(this.file);
  }
}
