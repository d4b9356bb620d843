import { Away, type AwayReason } from "./database/away.js";
import { codeOf, messageOf } from "./errors.js";
import type { ErrorRequestHandler, RequestHandler, Response } from "express";
import type { Fault } from "../core/index.js";

/** Everything a request can be answered with that is not what was asked: status, and what to say. One line each. */
const catalogue = {
  "not-json": [400, "The body is not JSON"],
  "wrong-form": [400, "The request has the wrong form"],
  "frame-faults": [422, "The frame has faults"],
  "edit-refused": [422, "The edit cannot be made"],
  "no-icon": [422, "That cannot be an icon"],
  "no-frame": [404, "There is no such frame"],
  "no-revision": [404, "There is no such revision"],
  "no-route": [404, "There is nothing at this address"],
  "no-match": [428, "Say which revision the edits were made on, by If-Match"],
  stale: [412, "The frame has gone on since"],
  "sent-before": [409, "An edit was sent before"],
  "too-large": [413, "The body is larger than 4 MB"],
  "wrong-host": [421, "This server does not answer for that host name"],
  "wrong-origin": [403, "Writes are taken from this server's own pages alone"],
  "key-wanted": [401, "This server asks for a key"],
  "wrong-key": [403, "The key is not right"],
  "look-only": [403, "This frame is shown to be looked at"],
  "too-many-tries": [429, "Too many wrong keys were tried"],
  stopping: [503, "The server is stopping"],
  "read-only": [507, "The server's disk cannot be written"],
  "no-answer": [503, "The database does not answer"],
  "no-room": [507, "There is no room on the server's disk"],
  "not-kept": [500, "The database cannot keep this"],
  broken: [500, "Something went wrong in the server"],
} as const;

export type ProblemCode = keyof typeof catalogue;

/** An answer as `application/problem+json` (RFC 9457); thrown by a handler, sent by `sendProblems`. */
export class Problem extends Error {
  readonly status: number;

  constructor(
    readonly code: ProblemCode,
    readonly detail: string,
    readonly more: {
      faults?: Fault[];
      revision?: number;
      missed?: unknown[] | null;
      keys?: string[];
      after?: number;
    } = {},
  ) {
    super(detail);
    this.status = catalogue[code][0];
  }

  send(response: Response): void {
    if (this.more.after !== undefined) response.set("Retry-After", String(this.more.after));
    response
      .status(this.status)
      .type("application/problem+json")
      .send(
        JSON.stringify({
          type: `urn:handy-frame:problem:${this.code}`,
          title: catalogue[this.code][1],
          status: this.status,
          detail: this.detail,
          ...this.more,
        }),
      );
  }
}

export const noRoute: RequestHandler = (request) => {
  throw new Problem("no-route", `${request.method} ${request.path} is not known.`);
};

const codes: Record<AwayReason, ProblemCode> = {
  "no room": "no-room",
  "read-only": "read-only",
  "no answer": "no-answer",
};

/** Sends what a handler threw; what nobody expected is logged, and says nothing of the inside. */
export const sendProblems =
  (log: (error: unknown) => void): ErrorRequestHandler =>
  (error: unknown, _request, response, next) => {
    if (response.headersSent) return next(error);
    // what goes on after a request is no request (Node's HTTP parser, its codes): that was answered where it came in
    if (/^HPE_/.test(codeOf(error) ?? "")) return void response.destroy();
    if (error instanceof Problem) return error.send(response);
    const { type, status }: { type?: unknown; status?: unknown } = typeof error === "object" && error ? error : {};
    if (type === "entity.too.large")
      return new Problem("too-large", "Send a smaller body: a frame holds structure alone.").send(response);
    if (status === 404) return new Problem("no-route", "There is no such file.").send(response);
    if (typeof status === "number" && status >= 400 && status < 500)
      return new Problem("wrong-form", messageOf(error)).send(response);
    log(error);
    if (error instanceof Away) return new Problem(codes[error.reason], error.message).send(response);
    // what the database says of a value is about that value: a SQLSTATE of its class 22, such as 22021 (PostgreSQL, Appendix A)
    const code = codeOf(error);
    if (code !== undefined && /^22[0-9A-Z]{3}$/.test(code))
      return new Problem("not-kept", `${messageOf(error)}. Nothing was changed.`).send(response);
    new Problem("broken", "Nothing was changed. Try again; the server's log has more.").send(response);
  };
