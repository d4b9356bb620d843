import { type Edit, type Frame, upgradeWaiting } from "../../core/index.js";
import { newKey } from "./key.js";
import { oncePainted } from "./once-painted.js";
import { hasShape, keepStored, readEdits, readStored, storedKeys } from "./storage.js";

/** An edit that waits to be sent. */
export interface Queued {
  key: string;
  label: string;
  edit: Edit;
  /** The frame format that the edit is of, where that is an older one. */
  format?: string;
}

/** The same as a window left it: with the revision that the first of its edits was made on. */
export type Left = Queued & { on?: number };

/** The edit as it can be made on a frame that was brought up. */
export const presentEdit = (frame: Frame, { edit, format }: Pick<Queued, "edit" | "format">): Edit =>
  format === undefined ? edit : upgradeWaiting(frame, edit, format);

/** Whether a value is an edit that waits: the server reads the edit itself with care. */
export const isQueued = (value: unknown): value is Queued =>
  hasShape(value, { key: "string", label: "string", edit: "object" });

const prefixOf = (frame: string): string => `handy-frame:queue:${frame}:`;

/**
 * The edits of one window that wait to be sent, kept in this browser. Every window has its own; what one left behind that is
 * no longer there is taken over by the next. Which are there is told by locks, which end with their window.
 */
export class Waiting {
  private readonly key: string;
  private latest: readonly Left[] = [];
  private isKept = true;
  private callOff: (() => void) | undefined;
  private release: (() => void) | undefined;

  /** `told` hears whether what waits is kept, each time that changes. */
  constructor(
    private readonly frame: string,
    private readonly told: (isKept: boolean) => void = () => undefined,
  ) {
    this.key = prefixOf(frame) + newKey();
  }

  /** Says that this window is there, until it is let go. */
  hold(): void {
    const held = new Promise<void>((resolve) => (this.release = resolve));
    // a page served over plain http to another machine has no locks: then keys alone tell what was sent already
    void globalThis.navigator?.locks?.request(this.key, () => held);
    addEventListener("storage", this.onStorage);
  }

  letGo(): void {
    this.release?.();
    removeEventListener("storage", this.onStorage);
  }

  /** Another page cleared what is kept here. */
  private readonly onStorage = ({ key }: StorageEvent): void => {
    if (key === null && this.latest.length > 0) this.write();
  };

  /** Keeps the queue as soon as what it changed is painted: writing much takes longer than a person should wait. */
  keep(queue: readonly Queued[], on: number): void {
    this.latest = queue.map((queued) => ({ ...queued, on }));
    this.callOff ??= oncePainted(() => this.write());
  }

  /** Keeps it now, as when the page is left. */
  write(): void {
    this.callOff?.();
    this.callOff = undefined;
    const isKept = keepStored("local", this.key, this.latest.length ? this.latest : null);
    if (isKept === this.isKept) return;
    this.isKept = isKept;
    this.told(isKept);
  }

  /** Takes over what each window left that is gone, in the order it was made: it stays where it was until `work` is done with it, and where that says that it was not. */
  async takeOver(work: (left: readonly Left[]) => Promise<boolean>): Promise<void> {
    for (const key of storedKeys("local", prefixOf(this.frame)))
      if (key !== this.key)
        await alone(key, async () => {
          const left = readStored("local", key, readEdits<Left>(isQueued)) ?? [];
          if (left.length && !(await work(left))) return;
          this.write();
          if (this.isKept) keepStored("local", key, null);
        });
  }
}

/** Does something while no window is there that has this lock; nothing where one is. */
const alone = async (key: string, work: () => Promise<void>): Promise<void> => {
  const locks = globalThis.navigator?.locks;
  if (!locks) return work();
  await locks.request(key, { ifAvailable: true }, async (lock) => {
    if (lock) await work();
  });
};
