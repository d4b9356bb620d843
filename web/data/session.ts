import {
  applySoundly,
  type Edit,
  type Fault,
  faultLine,
  fold,
  type Frame,
  type History,
  type HistoryEvent,
  type Id,
  type NavigationEvent,
  type View,
} from "../../core/index.js";
import { type Device, newDevice, putOn, withEvent, withFrame } from "./device.js";
import { External } from "./external.js";
import { ProblemError } from "./problem.js";
import { newKey } from "./key.js";
import { request } from "./request.js";
import { framePath, type HeadAnswer } from "./shelf.js";

interface Queued {
  key: string;
  label: string;
  edit: Edit;
}

interface Missed extends Queued {
  number: number;
}

/** How far the server has what was changed. */
export type Sync = "saved" | "saving" | "away";

/** Something to tell the person: what happened, and what was kept. */
export interface Message {
  tone: "fault" | "plain";
  text: string;
}

/** What is chosen on the plan: a node, in one of its places. */
export interface Chosen {
  id: Id;
  /** The container it is looked at in; null for the root and for what is loose. */
  parent: Id | null;
}

/** Everything about one open frame that the page shows. */
/** What concerns the whole frame: how its devices are drawn, and which there are. */
export type Panel = "theme" | "devices";

export interface Session {
  id: string;
  frame: Frame;
  history: History;
  /** The revision the server has, by all we know. */
  revision: number;
  sync: Sync;
  /** Edits that wait to be sent. */
  waiting: number;
  message: Message | null;
  deleted: boolean;
  device: Device;
  chosen: Chosen | null;
  /** What the bench shows instead of what is chosen. */
  panel: Panel | null;
  /** The companion shows a device for each target. */
  sideBySide: boolean;
}

const queueKey = (id: string): string => `handy-frame:queue:${id}`;
const deviceKey = (id: string): string => `handy-frame:device:${id}`;

const stored = <T>(storage: Storage, key: string): T | null => {
  try {
    return JSON.parse(storage.getItem(key) ?? "null") as T | null;
  } catch {
    return null;
  }
};

const keep = (storage: Storage, key: string, value: unknown): void => {
  try {
    if (value === null) storage.removeItem(key);
    else storage.setItem(key, JSON.stringify(value));
  } catch {
    // a full or forbidden storage costs what it would have kept over a reload, and nothing else
  }
};

/** One open frame: edits apply at once and are sent behind; the device follows every change. */
export class OpenFrame {
  readonly external: External<Session>;
  /** The frame as the server has it, before what is queued. */
  private base: Frame;
  private queue: Queued[] = [];
  private sending = false;
  private retryAfter = 1000;
  private retry: ReturnType<typeof setTimeout> | undefined;
  private live: EventSource | null = null;
  private closed = false;

  constructor(head: HeadAnswer, given: Partial<View>) {
    const { id, revision, frame } = head;
    this.base = frame;
    const history: History = { frame, done: [], undone: [] };
    const device = this.deviceFrom(frame, id, given);
    this.external = new External<Session>({
      id,
      frame,
      history,
      revision,
      sync: "saved",
      waiting: 0,
      message: null,
      deleted: head.deleted ?? false,
      device,
      chosen: null,
      panel: null,
      sideBySide: false,
    });
    for (const { label, edit } of stored<Queued[]>(localStorage, queueKey(id)) ?? []) this.edit(edit, label);
  }

  /** The device as this window left it, as far as the frame still has its place. */
  private deviceFrom(frame: Frame, id: string, given: Partial<View>): Device {
    const device = newDevice(frame, given);
    const left = stored<Device["at"]["state"]>(sessionStorage, deviceKey(id));
    if (!left || device.beyond.length) return device;
    try {
      return withFrame(
        frame,
        { ...device, at: { state: left, moves: [], notes: [] }, reasons: ["As this window left it."] },
        null,
      );
    } catch {
      return device;
    }
  }

  private get now(): Session {
    return this.external.get();
  }

  /** Follows what others do to the frame, and sends what waits; the answer ends both. */
  open(): () => void {
    this.closed = false;
    const online = () => void this.flush();
    const leaving = () => keep(sessionStorage, deviceKey(this.now.id), this.now.device.at.state);
    addEventListener("online", online);
    addEventListener("pagehide", leaving);
    this.listen();
    void this.flush();
    return () => {
      this.closed = true;
      leaving();
      removeEventListener("online", online);
      removeEventListener("pagehide", leaving);
      clearTimeout(this.retry);
      this.live?.close();
      this.live = null;
    };
  }

  private listen(): void {
    this.live?.close();
    this.live = new EventSource(`${framePath(this.now.id)}/live?since=${this.now.revision}`);
    this.live.onopen = () => {
      if (this.now.sync === "away") void this.flush();
    };
    this.live.onmessage = ({ data }) => {
      const said = JSON.parse(data as string) as { kind: string; revision: number; edits?: Missed[] };
      if (said.kind === "revisions") this.hear(said.revision, said.edits ?? []);
      else this.external.set({ deleted: said.kind === "deleted" });
    };
    this.live.onerror = () => {
      if (!this.closed) this.away();
    };
  }

  private away(): void {
    if (this.now.sync !== "away") this.external.set({ sync: "away" });
    clearTimeout(this.retry);
    this.retry = setTimeout(() => void this.reach(), this.retryAfter);
    this.retryAfter = Math.min(this.retryAfter * 1.6, 8000);
  }

  /** Tries whether the server is there again; what it has that we have not comes by the live connection. */
  private async reach(): Promise<void> {
    try {
      const head = await request<HeadAnswer>(framePath(this.now.id));
      this.retryAfter = 1000;
      this.external.set({ deleted: head.deleted ?? false });
      if (this.queue.length === 0 && head.revision !== this.now.revision) this.adopt(head);
      if (!this.live || this.live.readyState === EventSource.CLOSED) this.listen();
      this.external.set({ sync: this.queue.length ? "saving" : "saved" });
      void this.flush();
    } catch (error) {
      if (error instanceof ProblemError && error.status !== 0)
        return this.say("fault", `${error.title}. ${error.detail}`);
      if (!this.closed) this.away();
    }
  }

  say(tone: Message["tone"], text: string): void {
    this.external.set({ message: { tone, text } });
  }

  hush(): void {
    if (this.now.message) this.external.set({ message: null });
  }

  private queued(queue: Queued[]): void {
    this.queue = queue;
    keep(localStorage, queueKey(this.now.id), queue.length ? queue : null);
    const sync = this.now.sync === "away" ? "away" : queue.length ? "saving" : "saved";
    this.external.set({ waiting: queue.length, sync });
  }

  private fold(event: HistoryEvent): Fault[] | null {
    const { history, device } = this.now;
    const folded = fold(history, event);
    if (!folded.ok) {
      this.say("fault", faultLine(folded.faults[0]!));
      return folded.faults;
    }
    if (folded.result.patches.length === 0) return null;
    const { frame } = folded.history;
    this.external.set({
      frame,
      history: folded.history,
      device: withFrame(frame, device, folded.edit, history.frame),
      message: null,
    });
    this.queued([...this.queue, { key: newKey(), label: folded.label, edit: folded.edit }]);
    void this.flush();
    return null;
  }

  /** Shows something of the whole frame on the bench; null goes back to what is chosen. */
  showPanel(panel: Panel | null): void {
    this.external.set({ panel });
  }

  showAllTargets(sideBySide: boolean): void {
    this.external.set({ sideBySide });
  }

  choose(chosen: Chosen | null): void {
    this.external.set({ chosen, panel: null });
  }

  /** Makes an edit; answers the faults that forbid it, which are told too, or null. */
  edit(edit: Edit, label: string): Fault[] | null {
    return this.fold({ do: "edit", edit, label: label.slice(0, 200) });
  }

  undo(): void {
    if (this.now.history.done.length) this.fold({ do: "undo" });
  }

  redo(): void {
    if (this.now.history.undone.length) this.fold({ do: "redo" });
  }

  /** An event on the device; on one of another target, if that is named: the state is the same on all. */
  send(event: NavigationEvent, target?: Id): void {
    const { frame, device } = this.now;
    if (device.beyond.length > 0) return;
    const own = device.view.target;
    const next = withEvent(frame, { ...device, view: { ...device.view, target: target ?? own } }, event);
    this.external.set({ device: { ...next, view: { ...next.view, target: own } } });
  }

  relaunch(): void {
    const { frame, device } = this.now;
    this.external.set({ device: newDevice(frame, device.view) });
  }

  putDevice(id: Id): void {
    const { frame, device } = this.now;
    if (device.beyond.length === 0) this.external.set({ device: putOn(frame, device, id) });
  }

  setView(given: Partial<View>): void {
    const { frame, device } = this.now;
    this.external.set({ device: withFrame(frame, { ...device, view: { ...device.view, ...given } }, null) });
  }

  private async flush(): Promise<void> {
    if (this.sending || this.queue.length === 0 || this.closed) return;
    this.sending = true;
    const edits = this.queue.slice(0, 100);
    try {
      const answer = await request<{ revision: number }>(`${framePath(this.now.id)}/edits`, {
        method: "POST",
        match: this.now.revision,
        body: { edits },
      });
      this.retryAfter = 1000;
      this.settle(answer.revision, edits);
      if (this.now.sync === "away") this.external.set({ sync: "saved" });
      this.queued(this.queue.filter((queued) => !edits.includes(queued)));
    } catch (error) {
      await this.failed(error as Error);
    } finally {
      this.sending = false;
    }
    if (this.queue.length && this.now.sync !== "away") void this.flush();
  }

  private async failed(error: Error): Promise<void> {
    if (!(error instanceof ProblemError)) throw error;
    if (error.status === 0 || error.status >= 500) return this.away();
    if (error.status === 412) return this.rebase(Number(error.body.revision), (error.body.missed ?? []) as Missed[]);
    // the server refuses what the same core allowed here: what it has is what counts
    const head = await request<HeadAnswer>(framePath(this.now.id)).catch(() => null);
    const lost = this.queue.map(({ label }) => label).join(", ");
    this.queued([]);
    if (head) this.adopt(head);
    this.say(
      "fault",
      `${error.title}: ${error.detail} ${error.faults[0] ? faultLine(error.faults[0]) : ""} Not kept: ${lost}.`,
    );
  }

  private settle(revision: number, edits: readonly Queued[]): void {
    for (const { edit } of edits) this.base = this.applied(this.base, edit) ?? this.base;
    this.external.set({ revision });
  }

  private applied(frame: Frame, edit: Edit): Frame | null {
    const result = applySoundly(frame, edit);
    return result.ok ? result.frame : null;
  }

  private adopt({ frame, revision }: HeadAnswer): void {
    this.base = frame;
    this.show(frame, revision);
  }

  private show(frame: Frame, revision: number): void {
    const { history, device } = this.now;
    this.external.set({
      frame,
      revision,
      history: { ...history, frame },
      device: withFrame(frame, device, null, history.frame),
    });
  }

  /** Edits made elsewhere, as they happen. Our own come back here too and are known by their keys. */
  private hear(revision: number, edits: readonly Missed[]): void {
    if (revision <= this.now.revision || edits.some(({ key }) => this.queue.some((queued) => queued.key === key)))
      return;
    if (this.sending) return; // the answer on its way will say what was missed
    const news = edits.filter(({ number }) => number > this.now.revision);
    if (news[0] && news[0].number !== this.now.revision + 1) return void this.reach();
    this.rebase(revision, news);
    void this.flush();
  }

  /** Puts what was missed under what is queued; what no longer fits is said and let go. */
  private rebase(revision: number, missed: readonly Missed[]): void {
    const arrived = new Set(missed.map(({ key }) => key));
    for (const { edit } of missed) this.base = this.applied(this.base, edit) ?? this.base;
    let frame = this.base;
    const clashes: string[] = [];
    const queue = this.queue.filter((queued) => {
      if (arrived.has(queued.key)) return false;
      const next = this.applied(frame, queued.edit);
      if (!next) clashes.push(queued.label);
      else frame = next;
      return next !== null;
    });
    this.show(frame, revision);
    this.queued(queue);
    if (clashes.length)
      this.say("fault", `Another window changed the same place. Not kept: ${clashes.join(", ")}. Everything else is.`);
  }
}
