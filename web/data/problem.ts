import type { Fault } from "../../core/index.js";

/** An answer of the server that is not what was asked (RFC 9457), or no answer at all: then `status` is 0. */
export class ProblemError extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    readonly detail: string,
    readonly faults: readonly Fault[] = [],
    readonly body: Record<string, unknown> = {},
  ) {
    super(`${title}. ${detail}`);
  }
}
