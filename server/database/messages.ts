import type { StatementError, Statement } from "./engine.js";

/** What the thread of a database is told. */
export type ToThread = ({ id: number } & Statement) | { id: number; end: true };

/** What it says: that it is there, or why not, and then what each statement came to. */
export type FromThread =
  | { opened: true }
  | { failed: string }
  | { id: number; rows: unknown[] }
  | { id: number; error: StatementError | { message: string } };
