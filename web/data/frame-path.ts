import type { Frame } from "../../core/index.js";
import type { FileState } from "./file.js";
import { request } from "./request.js";

export interface HeadAnswer {
  id: string;
  revision: number;
  frame: Frame;
  deleted?: boolean;
  /** The file it is worked on in. */
  file?: FileState | null;
  /** The keys of the newest edits: what has arrived of those that a window left. */
  keys?: readonly string[];
  /** Whether it may be changed from here. */
  mayChange?: boolean;
  /** The key by which others may look at it, where a key is asked for. */
  look?: string | null;
}

/** Where the server has all frames. */
export const framesPath = "/api/frames";
/** Where it has one. */
export const framePath = (id: string): string => `${framesPath}/${encodeURIComponent(id)}`;

/** Brings a deleted frame back. */
export const bringBack = (id: string): Promise<void> => request(`${framePath(id)}/bring-back`, { method: "POST" });
