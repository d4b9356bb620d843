import type { Request, Response } from "express";
import { Problem } from "../problem.js";
import type { Keys, Right } from "./keys.js";
import { Tries } from "./tries.js";

/** What is open to somebody. */
export interface Open {
  all: boolean;
  /** Frames that may be looked at. */
  frames: readonly string[];
}

/** A cookie holds as long as a browser keeps one (RFC 6265bis), ms. */
const holdsFor = 400 * 24 * 60 * 60 * 1000;

/** Knows by their keys what is open to those who ask. */
export class Access {
  private readonly tries = new Tries();
  /** Keys that were right: who has one is heard whatever others at the same address try. */
  private readonly known = new Map<string, Right>();

  constructor(readonly keys: Keys) {}

  /** What a key opens, which came with a request. Throws where it opens nothing, and where too many that did not came before. */
  rightOf(request: Request, key: string): Right {
    const right = this.known.get(key);
    if (right) return right;
    const address = request.ip ?? "";
    const waits = this.tries.waits(address);
    if (waits > 0) throw new Problem("too-many-tries", `Try again in ${waits} s.`, { after: waits });
    const found = this.keys.rightOf(key);
    if (found) {
      this.known.set(key, found);
      return found;
    }
    this.tries.wrong(address);
    throw new Problem("wrong-key", "It may be mistyped, or was changed since.");
  }

  /** What is open to who sent a request, by the keys in its cookies, or that of a bearer (RFC 6750), as programs send it. */
  openTo(request: Request, response: Response): Open {
    const { headers } = request;
    const open: { all: boolean; frames: string[] } = { all: false, frames: [] };
    const take = (key: string): void => {
      const right = this.rightOf(request, key);
      if (right.to === "all") open.all = true;
      else open.frames.push(right.frame);
    };
    const bearer = /^Bearer ([\w.-]{1,300})$/.exec(headers.authorization ?? "")?.[1];
    if (bearer !== undefined) take(bearer);
    for (const part of (headers.cookie ?? "").split(/;\s*/)) {
      const [name = "", key = ""] = part.split("=", 2);
      if (!name.startsWith(this.keys.cookie)) continue;
      try {
        take(key);
      } catch (error) {
        // what was changed since is not sent again
        response.clearCookie(name);
        throw error;
      }
    }
    return open;
  }

  /** Gives a key into a cookie. */
  give(request: Request, response: Response, key: string): Right {
    const right = this.rightOf(request, key);
    const name = right.to === "all" ? this.keys.cookie : `${this.keys.cookie}-${right.frame}`;
    response.cookie(name, key, { httpOnly: true, sameSite: "strict", secure: request.secure, maxAge: holdsFor });
    return right;
  }
}
