import {
  type CheckProgress,
  type CheckReport,
  type Frame,
  type Id,
  type Told,
  type ToldFinding,
  toldOf,
} from "../../core/index.js";
import { type CheckingClient, startChecking } from "../workers/checking/client.js";
import type { Answers, Ask, FromChecking, Question, Wanted } from "../workers/checking/messages.js";
import { External } from "./external.js";
import { keyOf } from "./finding-key.js";
import { oncePainted } from "./once-painted.js";

/** A walk that was made, of the frame as it is or as it was before the last edits. */
export interface Walked {
  report: CheckReport;
  ms: number;
  wasStopped: boolean;
}

/** What is known to be wrong with the open frame. */
export interface Checked {
  /** What the frame alone shows; null as long as nothing was looked at. */
  looked: CheckReport | null;
  walked: Walked | null;
  /** Both together, by what the frame silences as it is now. What only a walk shows is as the last one found it, and so is what silences nothing. */
  told: Told;
  /** Findings of the last walk that were mended since: the next one says whether they are gone. By their keys. */
  mended: ReadonlySet<string>;
  /** The frame is as it was walked. */
  isFresh: boolean;
  progress: CheckProgress | null;
  /** The check could not be loaded. */
  failed: boolean;
}

/** How far a walk goes: so many states in each view, and so long for all of them together, ms. */
interface Reach {
  mostStates: number;
  mostMs: number;
}

/** How far it goes without being asked for more: a machine is not kept busy after each edit. */
const usual: Reach = { mostStates: 50_000, mostMs: 8_000 };
const farther: Reach = { mostStates: 500_000, mostMs: 120_000 };

/** What is wrong at each node, faults and doubts that nobody silenced, the worst first. */
export interface Marks {
  at: ReadonlyMap<Id, readonly ToldFinding[]>;
}

const nobody: ReadonlySet<string> = new Set();

/** Findings that are wrong for all that is known: neither silenced nor mended since. */
export const heardIn = ({ told, mended }: Pick<Checked, "told" | "mended">): ToldFinding[] =>
  told.findings.filter((finding) => finding.quiet === null && !mended.has(keyOf(finding)));

/** Checks the open frame in a worker of its own, from when somebody first wants to know, and again after each edit; there it is also asked what is too long to be found out on the page. */
export class Checks extends External<Checked> {
  /** On its own, as who draws nodes does not follow how far a walk is. */
  readonly marks = new External<Marks>({ at: new Map() });
  private client: CheckingClient | null = null;
  private number = 0;
  private reach = usual;
  /** The frame that the worker has. */
  private sent: Frame | null = null;
  /** Calls off what is about to be sent; null where the worker has the frame as it is. */
  private callOff: (() => void) | null = null;
  private readonly awaited = new Map<number, (answer: Answers[Wanted] | null) => void>();
  private asked = 0;
  /** What the frame silenced when that was last looked at. */
  private quiet: Frame["quiet"];

  constructor(private readonly frame: () => Frame) {
    super({
      looked: null,
      walked: null,
      told: { findings: [], stale: [] },
      mended: nobody,
      isFresh: false,
      progress: null,
      failed: false,
    });
  }

  /** Begins, if it has not. */
  begin(): void {
    if (this.client || typeof Worker === "undefined") return;
    this.client = startChecking(this.answered, () => {
      this.leave();
      this.set({ failed: true, progress: null });
    });
    this.set({ failed: false });
    this.send();
  }

  /** Something about the frame as it is; null where it became another before that was found, or there is nobody to ask. */
  async ask<W extends Wanted>(question: Ask<W>): Promise<Answers[W] | null> {
    this.begin();
    const { client } = this;
    if (!client) return null;
    if (this.callOff) this.send();
    const id = (this.asked += 1);
    const answer = new Promise<Answers[Wanted] | null>((resolve) => this.awaited.set(id, resolve));
    client.send({ do: "ask", id, question: question as Question });
    return (await answer) as Answers[W] | null;
  }

  /** The frame is another. */
  carryOver(): void {
    if (!this.client) return;
    this.reach = usual;
    this.set({ isFresh: false });
    if (this.frame().quiet !== this.quiet) this.tell({});
    this.callOff?.();
    this.callOff = oncePainted(() => this.send());
  }

  /** A finding was mended: by the frame alone that is known at once, of a walk only after the next. */
  noteMended(finding: ToldFinding): void {
    if (finding.isWalked) this.tell({ mended: new Set(this.get().mended).add(keyOf(finding)) });
  }

  /** Walks again; where it is asked for, farther than it does by itself. */
  walk(isFarther = false): void {
    this.reach = isFarther ? farther : usual;
    this.begin();
    this.send();
  }

  stop(): void {
    this.client?.send({ do: "stop" });
  }

  close(): void {
    this.callOff?.();
    this.leave();
  }

  private leave(): void {
    this.sent = null;
    this.client?.close();
    this.client = null;
    for (const [, resolve] of this.awaited) resolve(null);
    this.awaited.clear();
  }

  /** Sends the frame as it is. */
  private send(): void {
    this.callOff?.();
    this.callOff = null;
    this.number += 1;
    const now = this.frame();
    const frame = now === this.sent ? null : now;
    this.sent = now;
    this.client?.send({ do: "check", number: this.number, frame, ...this.reach });
  }

  /** Sets what is known, and with it what is told and marked. */
  private tell(known: Partial<Omit<Checked, "told">>): void {
    const frame = this.frame();
    this.quiet = frame.quiet;
    const checked = { ...this.get(), ...known };
    const told = toldOf(frame, checked.looked?.findings ?? null, checked.walked?.report.findings ?? null);
    this.set({ ...known, told });
    const at = new Map<Id, ToldFinding[]>();
    for (const finding of heardIn({ ...checked, told })) {
      const { node, severity } = finding;
      if (node === null || severity === "hint") continue;
      const there = at.get(node);
      if (there) there.push(finding);
      else at.set(node, [finding]);
    }
    this.marks.set({ at });
  }

  private readonly answered = (message: FromChecking): void => {
    if (message.do === "answer") {
      this.awaited.get(message.id)?.(message.answer);
      this.awaited.delete(message.id);
      return;
    }
    if (message.number !== this.number) return;
    if (message.do === "looked") this.tell({ looked: message.report });
    else if (message.do === "walking") this.set({ progress: message.progress });
    else {
      const { report, ms, wasStopped } = message;
      this.tell({ walked: { report, ms, wasStopped }, mended: nobody, isFresh: true, progress: null });
    }
  };
}
