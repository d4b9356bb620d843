import { codeOf, messageOf } from "../errors.js";

/** Why nothing can be kept just now: there is no room on the disk, it cannot be written, or the database does not answer. */
export type AwayReason = "no room" | "read-only" | "no answer";

/** The database cannot take this now; nothing of it is kept. */
export class Away extends Error {
  constructor(
    readonly reason: AwayReason,
    message: string,
    options?: ErrorOptions,
  ) {
    super(message, options);
  }
}

/** A statement's own error as the server's trouble where the disk is full under it (PostgreSQL, Appendix A: 53100). */
export const orNoRoom = (error: unknown): unknown =>
  codeOf(error) === "53100"
    ? new Away("no room", `${messageOf(error)}. Make room where the database is; nothing was changed.`, {
        cause: error,
      })
    : error;
