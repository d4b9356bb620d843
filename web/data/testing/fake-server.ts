import { applySoundly, type Edit, type Frame, plainFrame } from "../../../core/index.js";
import { tabbed } from "../../../core/testing/frames.js";

// what a session needs around it, in memory

export interface Sent {
  key: string;
  label: string;
  edit: Edit;
}

/** A server in memory that behaves as the real one does, and can be away, refuse or fail. */
export class Server {
  revision = 1;
  away = false;
  /** The status it answers an edit with that it does not take; null for those it takes. */
  refuses: (sent: Sent) => number | null = () => null;
  /** Whether what was missed is not kept edit by edit any more. */
  thins: () => boolean = () => false;
  /** How often it was asked to save. */
  asked = 0;
  readonly kept: (Sent & { number: number })[] = [];
  frame: Frame = plainFrame(tabbed());

  apply({ edit, key, label }: Sent): void {
    const result = applySoundly(this.frame, edit);
    if (!result.ok) throw new Error("the server cannot apply it");
    this.frame = result.frame;
    this.revision += 1;
    this.kept.push({ key, label, edit, number: this.revision });
  }

  /** How long an answer takes, ms. */
  delay: () => number = () => 0;

  private tell(edits: readonly (Sent & { number: number })[]): void {
    if (!this.isTelling) return;
    const data = JSON.stringify({ kind: "revisions", frame: "x", revision: this.revision, edits });
    for (const live of Live.all) live.hear(data, this.delay());
  }
  /** Whether everyone who listens is told of what is saved. */
  isTelling = false;

  readonly fetch = async (_path: string, init: RequestInit = {}): Promise<Response> => {
    const delay = this.delay();
    await (delay ? new Promise((resolve) => setTimeout(resolve, delay)) : Promise.resolve());
    if (this.away) throw new TypeError("fetch failed");
    const json = (body: unknown, status = 200) => new Response(JSON.stringify(body), { status });
    if (init.method !== "POST")
      return json({ id: "x", revision: this.revision, frame: this.frame, keys: this.kept.map(({ key }) => key) });
    this.asked += 1;
    const { edits } = JSON.parse(init.body as string) as { edits: Sent[] };
    for (const sent of edits) {
      const status = this.refuses(sent);
      if (status !== null) return json({ title: "It cannot be kept", detail: "There is a reason.", status }, status);
    }
    const on = Number(String((init.headers as Record<string, string>)["if-match"]).replaceAll('"', ""));
    if (on !== this.revision)
      return json(
        {
          title: "stale",
          revision: this.revision,
          missed: this.thins() ? null : this.kept.filter(({ number }) => number > on),
        },
        412,
      );
    for (const sent of edits) this.apply(sent);
    this.tell(this.kept.filter(({ number }) => number > on));
    const revision = this.revision;
    const late = this.delay();
    if (late) await new Promise((resolve) => setTimeout(resolve, late));
    return json({ id: "x", revision });
  };
}

export class Storage {
  private readonly values = new Map<string, string>();
  getItem = (key: string) => this.values.get(key) ?? null;
  setItem = (key: string, value: string) => void this.values.set(key, value);
  removeItem = (key: string) => void this.values.delete(key);
  key = (i: number) => [...this.values.keys()][i] ?? null;
  get length(): number {
    return this.values.size;
  }
}

export class Live {
  static last: Live | null = null;
  static readonly CLOSED = 2;
  readyState = 1;
  onopen: (() => void) | null = null;
  onerror: (() => void) | null = null;
  onmessage: ((event: { data: string }) => void) | null = null;
  private last = Promise.resolve();
  /** Hears what is told in order, each a while later. */
  hear(data: string, delay: number): void {
    this.last = this.last
      .then(() => new Promise<void>((resolve) => setTimeout(resolve, delay)))
      .then(() => (Live.all.has(this) ? this.onmessage?.({ data }) : undefined));
  }
  static readonly all = new Set<Live>();
  constructor() {
    Live.last = this;
    Live.all.add(this);
  }
  close(): void {
    Live.all.delete(this);
  }
}

/** Puts a server, live connections and an empty browser where a session looks for them. */
export const standIn = (server: Server): void => {
  Live.all.clear();
  Object.assign(globalThis, {
    fetch: server.fetch,
    EventSource: Live,
    localStorage: new Storage(),
    sessionStorage: new Storage(),
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
    // nothing is painted here: each frame is there at once
    requestAnimationFrame: (act: () => void) => queueMicrotask(act),
    cancelAnimationFrame: () => undefined,
  });
};
