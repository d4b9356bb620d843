import type {
  CheckProgress,
  CheckReport,
  Edit,
  Facts,
  FirstWays,
  Frame,
  Id,
  Route,
  TriedMend,
  View,
  WayRow,
} from "../../../core/index.js";

/** What can be asked of a frame, by what is wanted. */
export interface Questions {
  /** How a person first comes to each screen. */
  ways: { view: View };
  /** Where a person can come while the facts stay so. */
  reach: { view: View; facts: Facts };
  /** How a person gets from one screen to another. */
  routes: { view: View; from: Id; to: Id };
  /** Every way there is, and what taking it does. */
  table: { view: View };
  /** What the app would be like with each of these edits made. */
  mends: { edits: readonly Edit[] };
}

/** What is answered to each. */
export interface Answers {
  ways: FirstWays;
  reach: Id[];
  routes: Route[];
  table: WayRow[];
  /** Null for an edit that cannot be made. */
  mends: (TriedMend | null)[];
}

export type Wanted = keyof Questions;
export type Ask<W extends Wanted> = { want: W } & Questions[W];
export type Question = { [W in Wanted]: Ask<W> }[Wanted];

/** What the page asks. `number` tells which frame an answer is about; `mostMs` is how long all views may take, ms. */
export type ToChecking =
  /** Null is the frame that was sent last. */
  | { do: "check"; number: number; frame: Frame | null; mostStates: number; mostMs: number }
  /** The walk that goes on ends where it is. */
  | { do: "stop" }
  /** Something about the frame that was sent last. */
  | { do: "ask"; id: number; question: Question };

/** What is answered: at once what the frame alone shows, then how far the walk is, then what it found. */
export type FromChecking =
  | { do: "looked"; number: number; report: CheckReport }
  | { do: "walking"; number: number; progress: CheckProgress }
  | { do: "walked"; number: number; report: CheckReport; ms: number; wasStopped: boolean }
  /** Null where another frame came before it was found. */
  | { do: "answer"; id: number; answer: Answers[Wanted] | null };
