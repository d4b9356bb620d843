import type { Id, Params } from "../frame/parts.js";
import { entriesInside } from "../navigate/entries.js";
import type { Entry, ScreenEntry, State } from "../navigate/state.js";

/** What a person may lose: where they are, how far a screen is scrolled, what they typed, the row they picked, what was handed over. */
export const pieces = ["place", "scroll", "draft", "picked", "handed"] as const;
/** One of them. */
export type Piece = (typeof pieces)[number];

/** One thing that may be lost: which screen has it, and what it is in few words. */
export interface Held {
  key: number;
  node: Id;
  params: Params;
  says: string;
}

/** The screens of a state, depth first, in background tabs too. */
export const screensIn = (entry: Entry, found: ScreenEntry[] = []): ScreenEntry[] => {
  if (entry.kind === "screen") found.push(entry);
  else for (const inner of entriesInside(entry)) screensIn(inner, found);
  return found;
};

/** The texts of what is typed or handed over, the empty ones left out. */
export const textsIn = (object: Readonly<Record<string, string>>): string[] =>
  Object.values(object).filter((text) => text !== "");

/** What a screen has of a piece, as a text that is other when it is lost; null where it has none. */
const heldOn: Readonly<Record<Exclude<Piece, "place">, (entry: ScreenEntry) => string | null>> = {
  scroll: ({ ui }) => (ui.scroll > 0 ? `${Math.round(ui.scroll)} px` : null),
  draft: ({ ui }) => textsIn(ui.drafts).join(" · ") || null,
  picked: ({ ui }) => (ui.picked === null ? null : `row ${ui.picked}`),
  handed: ({ ui, carried }) => [...textsIn(ui.received ?? {}), ...textsIn(carried)].join(" · ") || null,
};

/** What there is of a piece in a state. */
export const heldOf = ({ root }: State, piece: Piece): Held[] =>
  screensIn(root).flatMap((entry) => {
    const says = piece === "place" ? "" : heldOn[piece](entry);
    return says === null ? [] : [{ key: entry.key, node: entry.node, params: entry.params, says }];
  });

/** What of it is not there any more in a later state: gone with its screen, or from it. */
export const lostOf = (held: readonly Held[], { root }: State, piece: Piece): Held[] => {
  const now = new Map(screensIn(root).map((entry) => [entry.key, entry]));
  return held.filter(({ key, says }) => {
    const entry = now.get(key);
    return !entry || (piece !== "place" && heldOn[piece](entry) !== says);
  });
};
