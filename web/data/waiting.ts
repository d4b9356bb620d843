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
  private latest: readonly Queued[] = [];
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
    addEventListener("beforeunload", this.onLeaving);
  }

  letGo(): void {
    this.release?.();
    removeEventListener("storage", this.onStorage);
    removeEventListener("beforeunload", this.onLeaving);
  }

  /** Another page cleared what is kept here. */
  private readonly onStorage = ({ key }: StorageEvent): void => {
    if (key === null && this.latest.length > 0) this.write();
  };
  /** What is kept nowhere is asked about before the window is closed. */
  private readonly onLeaving = (event: Event): void => {
    if (!this.isKept) event.preventDefault();
  };

  /** Keeps the queue as soon as what it changed is painted: writing much takes longer than a person should wait. */
  keep(queue: readonly Queued[]): void {
    this.latest = queue;
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

  /** Takes over what windows left that are gone, in the order it was made in each. */
  async takeOver(): Promise<Queued[]> {
    const left = storedKeys("local", prefixOf(this.frame)).filter((key) => key !== this.key);
    if (left.length === 0) return [];
    const held = new Set((await globalThis.navigator?.locks?.query())?.held?.map(({ name }) => name));
    return left
      .filter((key) => !held.has(key))
      .flatMap((key) => {
        const queue = readStored("local", key, readEdits(isQueued)) ?? [];
        keepStored("local", key, null);
        return queue;
      });
  }
}
