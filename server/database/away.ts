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
