import type { FactValue, How, Id } from "../frame/types.js";
import type { Insets } from "../frame/view.js";

/** Everything that can happen to an app, one form each. */
export type NavigationEvent =
  | { do: "tap"; action: Id; in?: Id }
  | { do: "pick"; row: number; in?: Id }
  | { do: "tab"; to: Id }
  | { do: "menu"; open?: boolean }
  | { do: "back" }
  | { do: "up" }
  | { do: "dismiss" }
  | { do: "open"; to: Id; params?: Record<string, string>; how?: How }
  | { do: "link"; url: string; start: "cold" | "running" }
  | { do: "fact"; id: Id; is: FactValue }
  | { do: "wait"; ms: number }
  | { do: "scroll"; to: number; in?: Id }
  | { do: "type"; field: string; text: string; in?: Id }
  | { do: "view"; width: number; height: number; target?: Id; rtl?: boolean; insets?: Partial<Insets> }
  | { do: "return" }
  | { do: "kill" };

export type EventKind = NavigationEvent["do"];

export const noteCodes = [
  "closed",
  "already-there",
  "switched",
  "unattached",
  "ignored",
  "wanting",
  "draft-lost",
  "after-loop",
  "redirected",
  "refused",
  "swept",
  "resumed",
  "needs-loop",
  "stuck",
  "lost",
  "base-skipped",
] as const;
export type NoteCode = (typeof noteCodes)[number];

/** Why the engine did what it did, for a developer to read. */
export interface Note {
  code: NoteCode;
  /** The node it is about. */
  node: Id | null;
  text: string;
}

export type MoveKind = "push" | "pop" | "open" | "close" | "replace" | "switch";

/** What changed on screen, at the outermost container where it did. */
export interface Move {
  kind: MoveKind;
  /** The container. */
  in: Id;
  /** Ids of its children. */
  leaving: Id | null;
  entering: Id | null;
  toward: "forward" | "back";
}
