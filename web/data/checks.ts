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
import type { FromChecking } from "../workers/checking/messages.js";
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

/** Checks the open frame in a worker of its own, from when somebody first wants to know, and again after each edit. */
export class Checks extends External<Checked> {
  /** On its own, as who draws nodes does not follow how far a walk is. */
  readonly marks = new External<Marks>({ at: new Map() });
  private client: CheckingClient | null = null;
  private number = 0;
  private reach = usual;
  private callOff: (() => void) | null = null;
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
      this.client?.close();
      this.client = null;
      this.set({ failed: true, progress: null });
    });
    this.set({ failed: false });
    this.ask();
  }

  /** The frame is another. */
  carryOver(): void {
    if (!this.client) return;
    this.reach = usual;
    this.set({ isFresh: false });
    if (this.frame().quiet !== this.quiet) this.tell({});
    this.callOff?.();
    this.callOff = oncePainted(() => this.ask());
  }

  /** A finding was mended: by the frame alone that is known at once, of a walk only after the next. */
  noteMended(finding: ToldFinding): void {
    if (finding.isWalked) this.tell({ mended: new Set(this.get().mended).add(keyOf(finding)) });
  }

  /** Walks again; where it is asked for, farther than it does by itself. */
  walk(isFarther = false): void {
    this.reach = isFarther ? farther : usual;
    this.begin();
    this.ask();
  }

  stop(): void {
    this.client?.send({ do: "stop" });
  }

  close(): void {
    this.callOff?.();
    this.client?.close();
    this.client = null;
  }

  private ask(): void {
    this.number += 1;
    this.client?.send({ do: "check", number: this.number, frame: this.frame(), ...this.reach });
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
    if (message.number !== this.number) return;
    if (message.do === "looked") this.tell({ looked: message.report });
    else if (message.do === "walking") this.set({ progress: message.progress });
    else {
      const { report, ms, wasStopped } = message;
      this.tell({ walked: { report, ms, wasStopped }, mended: nobody, isFresh: true, progress: null });
    }
  };
}
