import { type FileHandle, link, open, readFile, rename, rm, stat } from "node:fs/promises";
import { join } from "node:path";
import { setTimeout as pause } from "node:timers/promises";
import { Busy } from "./busy.js";
import { type Holder, holderSays, isGone, readHolder } from "./holder.js";

/** How often a holder touches the file, and after how long without it is taken for gone, ms: some beats may come late. */
export interface Pace {
  beat: number;
  gone: number;
}
const usual: Pace = { beat: 2000, gone: 9000 };

export interface FileHold {
  release: () => Promise<void>;
}

export interface HoldOptions {
  own: Holder;
  /** The socket of this system is held: whoever wrote the file in the same space is gone, as it would hold that. */
  isAlone?: boolean;
  /** Told while it is not known yet whether the holder is there. */
  say?: (line: string) => void;
  /** Another process took the folder, as can be when this one stood still for long. */
  onLost?: () => void;
  pace?: Pace;
}

const textAt = (path: string): Promise<string | null> =>
  readFile(path, "utf8").catch((error: NodeJS.ErrnoException) => {
    if (error.code === "ENOENT") return null;
    throw error;
  });
const touchedAt = async (path: string): Promise<bigint | null> =>
  (await stat(path, { bigint: true }).catch(() => null))?.mtimeNs ?? null;

/** Whether nobody touches the file, looked at for as long as a holder would be still at most. No clocks are compared: a file may be another machine's. */
const isStill = async (path: string, { beat, gone }: Pace): Promise<boolean> => {
  const before = await touchedAt(path);
  for (let waited = 0; waited < gone; waited += beat / 8) {
    await pause(beat / 8);
    if ((await touchedAt(path)) !== before) return false;
  }
  return true;
};

/** Takes away the file of a holder that is gone; of two that do so at once, one takes it and the other puts back what came in its place. */
const takeAway = async (path: string, text: string, token: string): Promise<void> => {
  const aside = `${path}.${token}`;
  if ((await textAt(path)) !== text) return;
  await rename(path, aside).catch((error: NodeJS.ErrnoException) => {
    if (error.code !== "ENOENT") throw error;
  });
  const found = await textAt(aside);
  if (found !== null && found !== text) await link(aside, path).catch(() => undefined);
  await rm(aside, { force: true });
};

/** The file while it is held. */
class Held {
  private readonly timer: NodeJS.Timeout;

  constructor(
    private readonly path: string,
    private readonly own: Holder,
    private file: FileHandle,
    beat: number,
    private readonly onLost: (() => void) | undefined,
  ) {
    this.timer = setInterval(() => void this.beat().catch(() => undefined), beat);
    this.timer.unref();
  }

  async isOwn(): Promise<boolean> {
    const there = await stat(this.path).catch(() => null);
    return there?.ino === (await this.file.stat()).ino;
  }

  private async beat(): Promise<void> {
    const now = new Date();
    await this.file.utimes(now, now);
    if (await this.isOwn()) return;
    // somebody cleaned up: it is written anew, unless another process was there first
    const again = await open(this.path, "wx").catch(() => null);
    if (!again) return this.onLost?.();
    await again.writeFile(JSON.stringify(this.own));
    await this.file.close();
    this.file = again;
  }

  async release(): Promise<void> {
    clearInterval(this.timer);
    await this.file.close();
    if (readHolder((await textAt(this.path)) ?? "")?.token === this.own.token) await rm(this.path, { force: true });
  }
}

/** A file in the folder that says who holds it, and that its holder touches as long as it is there: for all who can see the folder. */
export const holdByFile = async (
  folder: string,
  { own, isAlone = false, say, onLost, pace = usual }: HoldOptions,
): Promise<FileHold> => {
  const path = join(folder, "held-by");
  let isRace = false;
  for (let tries = 0; tries < 3; tries += 1) {
    const file = await open(path, "wx").catch((error: NodeJS.ErrnoException) => {
      if (error.code !== "EEXIST") throw error;
      return null;
    });
    if (file) {
      await file.writeFile(JSON.stringify(own));
      const held = new Held(path, own, file, pace.beat, onLost);
      // where several came for what a holder left, the last one to put its file there has it
      if (isRace) await pause(pace.beat / 4);
      if (!isRace || (await held.isOwn())) return held;
      await held.release();
      throw new Busy(folder, "another process that started just now");
    }
    const text = await textAt(path);
    if (text === null) continue;
    const holder = readHolder(text);
    const isKnownGone = holder !== null && (isGone(holder, own) || (isAlone && holder.space === own.space));
    if (!isKnownGone) {
      const who = holder ? holderSays(holder) : "another process";
      say?.(`${path} says that ${who} holds the folder; looking for ${pace.gone / 1000} s whether it is still there …`);
      if (!(await isStill(path, pace))) throw new Busy(folder, who);
      isRace = true;
    }
    await takeAway(path, text, own.token);
  }
  throw new Busy(folder, "another process that starts just now");
};
