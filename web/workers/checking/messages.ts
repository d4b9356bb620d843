import type { CheckProgress, CheckReport, Frame } from "../../../core/index.js";

/** What the page asks. `number` tells which frame an answer is about; `mostMs` is how long all views may take, ms. */
export type ToChecking =
  | { do: "check"; number: number; frame: Frame; mostStates: number; mostMs: number }
  /** The walk that goes on ends where it is. */
  | { do: "stop" };

/** What is answered: at once what the frame alone shows, then how far the walk is, then what it found. */
export type FromChecking =
  | { do: "looked"; number: number; report: CheckReport }
  | { do: "walking"; number: number; progress: CheckProgress }
  | { do: "walked"; number: number; report: CheckReport; ms: number; wasStopped: boolean };
