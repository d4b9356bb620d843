import { hasShape, keepStored, readEdits, readStored } from "./storage.js";
import { isQueued, type Queued } from "./waiting.js";

/** An edit that the server could not store: kept in this browser, for the person to try again, to copy or to let go. */
export interface Aside extends Queued {
  /** Why it could not be stored, in the server's words. */
  why: string;
}

const keyOf = (frame: string): string => `handy-frame:aside:${frame}`;

const isAside = (value: unknown): value is Aside => isQueued(value) && hasShape(value, { why: "string" });

export const readAside = (frame: string): Aside[] => readStored("local", keyOf(frame), readEdits(isAside)) ?? [];

export const keepAside = (frame: string, aside: readonly Aside[]): boolean =>
  keepStored("local", keyOf(frame), aside.length ? aside : null);
