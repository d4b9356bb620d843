import {
  type CheckProgress,
  type CheckReport,
  type Finding,
  type Frame,
  groups,
  type Id,
  keysOf,
  type StaleQuiet,
} from "../../core/index.js";
import { type CheckingClient, startChecking } from "../workers/checking/client.js";
import type { FromChecking } from "../workers/checking/messages.js";
import { External } from "./external.js";
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
  at: ReadonlyMap<Id, readonly Finding[]>;
}

/** Checks the open frame in a worker of its own, from when somebody first wants to know, and again after each edit. */
export class Checks extends External<Checked> {
  /** On its own, as who draws nodes does not follow how far a walk is. */
  readonly marks = new External<Marks>({ at: new Map() });
  private client: CheckingClient | null = null;
  private number = 0;
  private reach = usual;
  private callOff: (() => void) | null = null;

  constructor(private readonly frame: () => Frame) {
    super({ looked: null, walked: null, isFresh: false, progress: null, failed: false });
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
    this.callOff?.();
    this.callOff = oncePainted(() => this.ask());
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

  private mark(): void {
    const at = new Map<Id, Finding[]>();
    for (const finding of findingsOf(this.get())) {
      const { node, severity, quiet } = finding;
      if (node === null || severity === "hint" || quiet !== null) continue;
      const known = at.get(node);
      if (known) known.push(finding);
      else at.set(node, [finding]);
    }
    this.marks.set({ at });
  }

  private readonly answered = (message: FromChecking): void => {
    if (message.number !== this.number) return;
    if (message.do === "looked") this.set({ looked: message.report });
    else if (message.do === "walking") this.set({ progress: message.progress });
    else {
      const { report, ms, wasStopped } = message;
      this.set({ walked: { report, ms, wasStopped }, isFresh: true, progress: null });
    }
    if (message.do !== "walking") this.mark();
  };
}

const rank = { fault: 0, doubt: 1, hint: 2 } as const;
const groupOrder = keysOf(groups);

/** All that is known to be wrong, the worst first, then by what it is about. What only a walk shows is as the last one found it. */
export const findingsOf = ({ looked, walked }: Checked): Finding[] =>
  [...(walked?.report.findings ?? []), ...(looked?.findings ?? [])].sort(
    (a, b) => rank[a.severity] - rank[b.severity] || groupOrder.indexOf(a.group) - groupOrder.indexOf(b.group),
  );

/** What was silenced and is not there any more. */
export const staleOf = ({ looked, walked, isFresh }: Checked): StaleQuiet[] => {
  if (!looked || !walked || !isFresh) return [];
  // what one half says nothing of, the other may have found
  const isStale = ({ rule, node }: StaleQuiet, among: readonly StaleQuiet[]): boolean =>
    among.some((each) => each.rule === rule && each.node === node);
  return walked.report.stale.filter((each) => isStale(each, looked.stale));
};
