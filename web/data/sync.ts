import { applyEach, editBetween, faultSays, type Frame, noRenames, sure, thenRenamed } from "../../core/index.js";
import type { Aside } from "./aside.js";
import { together } from "./external.js";
import type { FileState } from "./file.js";
import { oncePainted } from "./once-painted.js";
import { isKeyWanted } from "./entry.js";
import { ProblemError } from "./problem.js";
import { request } from "./request.js";
import { framePath, type HeadAnswer } from "./frame-path.js";
import { partClashing } from "./clashing.js";
import type { SyncHost, SyncState, Theirs } from "./sync-host.js";
import { type Left, type Queued, Waiting } from "./waiting.js";

interface Missed extends Queued {
  number: number;
}

/** What the live connection tells. */
interface Said {
  kind: "revisions" | "thinned" | "deleted" | "back" | "file";
  revision: number;
  edits?: Missed[];
  file?: FileState;
}

/** The queue made on a frame, one after another: the frame after it, what could be made, and what could not. */
const madeOn = (frame: Frame, queue: readonly Queued[]): { frame: Frame; kept: Queued[]; lost: Queued[] } => {
  const made = applyEach(
    frame,
    queue.map(({ edit }) => edit),
    { sound: true },
  );
  const isMade = (i: number): boolean => made.results[i]?.ok === true;
  return {
    frame: made.frame,
    kept: queue.filter((_, i) => isMade(i)),
    lost: queue.filter((_, i) => !isMade(i)),
  };
};

/** Edits sent at once. */
const mostAtOnce = 100;
/** An edit that the server fails at is tried so many times in all. */
const mostTries = 3;
/** What was missed, as the server tells it with a stale edit; null where it does not have all of it any more. */
const missedIn = ({ body }: ProblemError): Missed[] | null => (Array.isArray(body.missed) ? body.missed : null);
/** Keys of edits that the server has already. */
const keysIn = ({ body }: ProblemError): string[] => (Array.isArray(body.keys) ? body.keys : []);

const problemSays = (frame: Frame, { title, detail, faults }: ProblemError): string =>
  [`${title}.`, detail, faults[0] ? faultSays(frame, faults[0]) : ""].filter(Boolean).join(" ");

/** Keeps one window and the server in step: sends what waits, hears what others do, and puts the one on top of the other. */
export class Sync {
  /** The frame as the server has it, before what is queued. */
  private base: Frame;
  private queue: Queued[] = [];
  private revision: number;
  private state: SyncState = "saved";
  private sending = false;
  /** What was told while edits were on their way. */
  private readonly unheard: { revision: number; edits: readonly Missed[] }[] = [];
  /** Once the server failed at several, they are sent one by one until the one is found. */
  private atOnce = mostAtOnce;
  private tries = 0;
  private retryAfter = 1000;
  private retry: ReturnType<typeof setTimeout> | undefined;
  private live: EventSource | null = null;
  private closed = false;
  private isSentSoon = false;
  private readonly waiting: Waiting;
  /** Keys of edits that the server had when the frame was read. */
  private readonly arrived: ReadonlySet<string>;
  private readonly path: string;
  private readonly mayChange: boolean;

  constructor(
    { id, frame, revision, keys, mayChange = true }: HeadAnswer,
    private readonly host: SyncHost,
  ) {
    this.base = frame;
    this.revision = revision;
    this.waiting = new Waiting(id, (isKept) => this.host.stand({ isKept }));
    this.arrived = new Set(keys);
    this.path = framePath(id);
    this.mayChange = mayChange;
  }

  /** Follows what others do, and sends what waits; the answer ends both. */
  open(): () => void {
    this.closed = false;
    const online = () => void this.flush();
    // a page that was left may be kept by the browser, to be gone back to: it holds no connection meanwhile, of which there are few
    const leaving = () => {
      this.waiting.write();
      this.live?.close();
      this.live = null;
    };
    const backAgain = ({ persisted }: PageTransitionEvent) => {
      if (persisted) this.listen();
    };
    addEventListener("online", online);
    addEventListener("pagehide", leaving);
    addEventListener("pageshow", backAgain);
    this.waiting.hold();
    this.listen();
    void this.takeOver();
    return () => {
      this.closed = true;
      this.waiting.letGo();
      leaving();
      removeEventListener("online", online);
      removeEventListener("pagehide", leaving);
      removeEventListener("pageshow", backAgain);
      clearTimeout(this.retry);
    };
  }

  /** Sends an edit that was made here, as soon as what it changed is painted. */
  push(queued: Queued): void {
    this.queued([...this.queue, queued]);
    if (this.isSentSoon) return;
    this.isSentSoon = true;
    oncePainted(() => {
      this.isSentSoon = false;
      void this.flush();
    });
  }

  private stand(state: SyncState): void {
    this.state = state;
    this.host.stand({ sync: state });
  }

  private show(frame: Frame, revision: number, theirs: Theirs | null): void {
    this.revision = revision;
    this.host.stand({ revision });
    this.host.show(frame, theirs);
  }

  /** Goes on with what windows left unsent that are gone, as after a reload. */
  private async takeOver(): Promise<void> {
    // what may not be sent from here waits for a window that may
    if (this.mayChange) await this.waiting.takeOver((left) => this.goOnWith(left));
    void this.flush();
  }

  /** Makes what a window left here again, but for what clashes with what others did since: theirs holds until one of both is chosen. */
  private async goOnWith(left: readonly Left[]): Promise<boolean> {
    const missed = await this.missedSince(Math.min(...left.map(({ on }) => on ?? this.revision)));
    if (!missed) return false;
    const arrived = new Set([...this.arrived, ...missed.map(({ key }) => key)]);
    const own = new Set(left.map(({ key }) => key));
    const theirs = missed.filter(({ key }) => !own.has(key)).map(({ edit }) => edit);
    const { goesOn, clashing } = partClashing(
      left.filter(({ key }) => !arrived.has(key)),
      theirs,
    );
    together(() => {
      if (clashing.length) this.host.clashed(clashing.flatMap(({ clashes }) => clashes));
      for (const { on: _, ...queued } of goesOn) this.host.again(queued);
    });
    return true;
  }

  /** What was done to the frame since a revision; asked for until the server answers, null where this window was left before. */
  private async missedSince(revision: number): Promise<readonly Missed[] | null> {
    if (revision >= this.revision) return [];
    while (!this.closed)
      try {
        // of what is not kept any more it is not known what clashes with it
        return (await request<{ edits: Missed[] | null }>(`${this.path}/edits?since=${revision}`)).edits ?? [];
      } catch (error) {
        if (!(error instanceof ProblemError)) throw error;
        await new Promise((again) => setTimeout(again, 1000));
      }
    return null;
  }

  private listen(): void {
    this.live?.close();
    this.live = new EventSource(`${this.path}/live?since=${this.revision}`);
    this.live.onopen = () => {
      if (this.state === "away") void this.flush();
    };
    this.live.onmessage = ({ data }) => {
      const said: Said = JSON.parse(data);
      // whoever shows the frame is told once of what one message brings
      together(() => {
        if (said.kind === "revisions") this.hear(said.revision, said.edits ?? []);
        else if (said.kind === "thinned") void this.rejoin().catch(() => this.away());
        else if (said.kind === "file") this.host.stand({ file: said.file ?? null });
        else this.host.stand({ deleted: said.kind === "deleted" });
      });
    };
    this.live.onerror = () => {
      if (!this.closed) this.away();
    };
  }

  private away(): void {
    if (this.state !== "away") this.stand("away");
    clearTimeout(this.retry);
    this.retry = setTimeout(() => void this.reach(), this.retryAfter);
    this.retryAfter = Math.min(this.retryAfter * 1.6, 8000);
  }

  /** Tries whether the server is there again; what it has that we have not comes by the live connection. */
  private async reach(): Promise<void> {
    try {
      const head = await request<HeadAnswer>(this.path);
      this.retryAfter = 1000;
      this.host.stand({ deleted: head.deleted ?? false, file: head.file ?? null });
      // what is newer comes by the live connection, edit by edit; where the server went back there is nothing to come
      if (this.queue.length === 0 && head.revision < this.revision) this.adopt(head);
      if (!this.live || this.live.readyState === EventSource.CLOSED) this.listen();
      this.stand(this.queue.length ? "saving" : "saved");
      void this.flush();
    } catch (error) {
      if (error instanceof ProblemError && error.status !== 0 && !isKeyWanted(error))
        this.host.fault(problemSays(this.base, error));
      if (!this.closed) this.away();
    }
  }

  private queued(queue: Queued[]): void {
    this.queue = queue;
    this.waiting.keep(queue, this.revision);
    this.host.stand({ waiting: queue.length });
    if (this.state !== "away") this.stand(queue.length ? "saving" : "saved");
  }

  private async flush(): Promise<void> {
    if (this.sending || this.queue.length === 0 || this.closed) return;
    this.sending = true;
    const edits = this.queue.slice(0, this.atOnce);
    try {
      const answer = await request<{ revision: number }>(`${this.path}/edits`, {
        method: "POST",
        match: this.revision,
        body: { edits },
      });
      this.retryAfter = 1000;
      together(() => {
        this.untroubled();
        this.settle(answer.revision, edits);
        if (this.state === "away") this.stand("saved");
        this.queued(this.queue.filter((queued) => !edits.includes(queued)));
      });
    } catch (error) {
      await this.failed(error, edits);
    } finally {
      this.sending = false;
    }
    for (const { revision, edits: told } of this.unheard.splice(0)) this.hear(revision, told);
    if (this.queue.length && this.state !== "away") void this.flush();
  }

  private async failed(error: unknown, edits: readonly Queued[]): Promise<void> {
    if (!(error instanceof ProblemError)) throw error;
    if (error.status < 500) this.untroubled();
    // it is asked for, and what waits is sent once it was given
    if (error.status === 0 || isKeyWanted(error)) return this.away();
    if (error.status === 507) return this.noRoom(error);
    const sentBefore = new Set(keysIn(error));
    if (error.status === 409 && edits.some(({ key }) => sentBefore.has(key)))
      return together(() => this.without(sentBefore));
    if (error.status === 412) {
      const missed = missedIn(error);
      return missed ? together(() => this.rebase(Number(error.body.revision), missed)) : this.rejoin();
    }
    // a deleted frame takes no edits: they wait until it is brought back
    if (error.status === 404) {
      this.host.stand({ deleted: true });
      return this.away();
    }
    const [first] = edits;
    if (edits.length > 1) {
      this.atOnce = 1;
      return;
    }
    this.tries += 1;
    if (error.status >= 500 && this.tries < mostTries) {
      const trouble = `The server cannot store “${sure(first).label}”. ${problemSays(this.base, error)} It is tried again.`;
      this.host.stand({ trouble });
      return new Promise((resolve) => setTimeout(resolve, 400 * this.tries));
    }
    this.untroubled();
    this.atOnce = mostAtOnce;
    together(() => this.setAside(sure(first), problemSays(this.base, error)));
  }

  /** The server's disk is full, or cannot be written: nothing is wrong with what is sent, and it waits until it can be. */
  private noRoom(error: ProblemError): void {
    this.tries = Math.max(this.tries, 1);
    this.host.stand({ trouble: `${problemSays(this.base, error)} What you change waits in this browser.` });
    this.away();
  }

  /** Goes on without edits that arrived before, as from a window that is gone: what they did is in the frame. */
  private without(sentBefore: ReadonlySet<string>): void {
    const { frame, kept, lost } = madeOn(
      this.base,
      this.queue.filter(({ key }) => !sentBefore.has(key)),
    );
    for (const { edit } of lost) this.host.dropped(edit, null, []);
    this.show(frame, this.revision, { edits: [], renamed: noRenames });
    this.queued(kept);
  }

  private untroubled(): void {
    if (this.tries > 0) this.host.stand({ trouble: null });
    this.tries = 0;
  }

  /** Goes on without an edit, and without those that built on it: none is lost, and none stands in the way of the rest. */
  private setAside(queued: Queued, why: string): void {
    const rest = this.queue.filter((each) => each !== queued);
    const { frame, kept, lost } = madeOn(this.base, rest);
    const because = `It builds on “${queued.label}”, which the server could not store.`;
    const aside: Aside[] = [{ ...queued, why }, ...lost.map((each) => ({ ...each, why: because }))];
    for (const { edit } of aside) this.host.dropped(edit, null, []);
    this.host.aside(aside);
    this.show(frame, this.revision, { edits: [], renamed: noRenames });
    this.queued(kept);
  }

  private settle(revision: number, edits: readonly Queued[]): void {
    this.base = madeOn(this.base, edits).frame;
    this.revision = revision;
    this.host.stand({ revision });
  }

  /** After so long that the server has not kept each change since: all that was done is taken for one. */
  private async rejoin(): Promise<void> {
    const { frame, revision, keys = [] } = await request<HeadAnswer>(this.path);
    if (revision <= this.revision) return;
    together(() => {
      const arrived = new Set(keys);
      this.queue = this.queue.filter(({ key }) => !arrived.has(key));
      const label = `All since change ${this.revision}`;
      this.rebase(revision, [{ number: revision, key: "", label, edit: editBetween(this.base, frame) }]);
    });
    this.listen();
  }

  private adopt({ frame, revision }: HeadAnswer): void {
    this.base = frame;
    this.show(frame, revision, null);
  }

  /** Edits made elsewhere, as they happen. Our own come back here too and are known by their keys. */
  private hear(revision: number, edits: readonly Missed[]): void {
    if (revision <= this.revision || edits.some(({ key }) => this.queue.some((queued) => queued.key === key))) return;
    // the answer on its way comes first: it may say this too, or have come before it
    if (this.sending) return void this.unheard.push({ revision, edits });
    const news = edits.filter(({ number }) => number > this.revision);
    // some are missing: it is asked for all since the revision that is known
    if (news[0] && news[0].number !== this.revision + 1) return this.listen();
    this.rebase(revision, news);
    void this.flush();
  }

  /** What is queued without what clashes with edits made elsewhere: theirs holds until one of both is chosen. */
  private withoutClashes(missed: readonly Missed[]): Queued[] {
    const theirs = missed.map(({ edit }) => edit);
    const { goesOn, clashing } = partClashing(this.queue, theirs);
    for (const { queued, clashes, left } of clashing) this.host.dropped(queued.edit, left, clashes);
    if (clashing.length) this.host.clashed(clashing.flatMap(({ clashes }) => clashes));
    return goesOn;
  }

  /** Puts what was missed under what is queued; what no longer fits is said and let go. */
  private rebase(revision: number, missed: readonly Missed[]): void {
    const arrived = new Set(missed.map(({ key }) => key));
    const own = new Set(this.queue.map(({ key }) => key));
    const came = applyEach(
      this.base,
      missed.map(({ edit }) => edit),
      { sound: true },
    );
    this.base = came.frame;
    const renamed = came.results.reduce(
      (names, result, i) => (result.ok && !own.has(missed[i]?.key ?? "") ? thenRenamed(names, result.renamed) : names),
      noRenames,
    );
    this.queue = this.queue.filter(({ key }) => !arrived.has(key));
    const others = missed.filter(({ key }) => !own.has(key));
    const { frame, kept, lost } = madeOn(this.base, this.withoutClashes(others));
    for (const { edit } of lost) this.host.dropped(edit, null, []);
    this.show(frame, revision, { edits: others.map(({ edit }) => edit), renamed });
    this.queued(kept);
    const clashes = lost.map(({ label }) => label);
    if (clashes.length)
      this.host.fault(`Another window changed the same place. Not kept: ${clashes.join(", ")}. Everything else is.`);
  }
}
