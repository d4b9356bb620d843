import { keepStored, readStored } from "./storage.js";
import type { Queued } from "./waiting.js";

/** An edit that the server could not store: kept in this browser, for the person to try again, to copy or to let go. */
export interface Aside extends Queued {
  /** Why it could not be stored, in the server's words. */
  why: string;
}

const keyOf = (frame: string): string => `handy-frame:aside:${frame}`;

export const readAside = (frame: string): Aside[] => readStored<Aside[]>("local", keyOf(frame)) ?? [];

export const keepAside = (frame: string, aside: readonly Aside[]): void =>
  keepStored("local", keyOf(frame), aside.length ? aside : null);
