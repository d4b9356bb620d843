import type { FactValue, Id, Leave, Need, Params } from "../frame/parts.js";

/** A node with the params it shows. */
export interface Named {
  id: Id;
  params?: Params;
}

/** A need that is not met, and whose it is. */
export interface Lacking {
  of: Named;
  need: Need;
}

/** Why an entry was closed by what was opened. */
export type ClosedBy =
  | { why: "clears" }
  | { why: "lies-beneath"; container: Named }
  | { why: "pushed"; by: Named }
  | { why: "starts"; by: Named }
  | { why: "opened-beside"; by: Named };

/** Why something was not laid beneath what a link opens. */
export type SkippedBy = { why: "needs"; lacking: Lacking } | { why: "goes-on" } | { why: "lacks-params" };

/** Why an event changed nothing. */
export type IgnoredBy =
  | { why: "no-event"; received: string; pointer: string; expected: string }
  | { why: "outside" }
  | { why: "stuck" }
  | { why: "not-outside" }
  | { why: "nothing-to-close" }
  | { why: "nothing-beneath"; hasNoBack?: true }
  | { why: "no-system-back" }
  | { why: "at-first" }
  | { why: "no-fact"; fact: Id }
  | { why: "no-fact-value"; fact: Id; is: FactValue; values: readonly FactValue[] }
  | { why: "no-set-fact"; fact: Id; is: FactValue }
  | { why: "no-drawer" }
  | { why: "drawer-covered"; hub: Id }
  | { why: "drawer-already"; hub: Id; open: boolean }
  | { why: "drawer-open" }
  | { why: "beside-drawer"; hub: Id }
  | { why: "not-seen"; node: Id | undefined }
  | { why: "under-overlay"; screen: Named }
  | { why: "no-action"; on: Named; action: Id }
  | { why: "extras-out-of-reach"; hub: Id }
  | { why: "no-rows"; screen: Named }
  | { why: "no-such-row"; screen: Named; rows: number; row: number }
  | { why: "rows-open-nothing"; screen: Named }
  | { why: "no-field"; screen: Named; field: string }
  | { why: "tab-covered" | "tab-in-drawer" | "tab-not-seen"; tab: Id }
  | { why: "not-dismissed" }
  | { why: "nothing-to-dismiss" }
  | { why: "no-target"; target: Id }
  | { why: "asks"; screen: Named }
  | { why: "nothing-asked" }
  | { why: "link"; reason: string }
  | { why: "link-nowhere"; path: string };

/** What each kind of note tells, beside its code and the node it is about. */
export interface NoteArgs {
  closed: { what: Named } & ClosedBy;
  "already-there": { what: Named; how: "on-top" | "right-beneath" | "top-overlay" | "detail" };
  switched: { tab: Id; for: Named | "link" };
  unattached: { node: Id; isNode: boolean };
  ignored: IgnoredBy;
  wanting: { screen: Named; names: readonly string[] };
  asks: { screen: Named; ask: string; when: Leave["when"] };
  "draft-lost": { screen: Named; field: string };
  "after-loop": { times: number };
  redirected: { to: Named } & ({ why: "needs"; lacking: Lacking; waits: boolean } | { why: "swept"; from: Named });
  refused: { what: Named; lacking: Lacking };
  swept: { what: Named; need: Need };
  resumed: { what: Named };
  "needs-loop": { opening: Id | null };
  stuck: Record<string, never>;
  lost: { screen: Id; path: string };
  "base-skipped": { what: Id } & SkippedBy;
}

/** What a note is of: one word for each kind of reason. */
export type NoteCode = keyof NoteArgs;

/** Why the engine did what it did, as data: its words are made where it is printed. */
export type Note = { [C in NoteCode]: { code: C; node: Id | null; args: NoteArgs[C] } }[NoteCode];
