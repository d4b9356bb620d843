import type { Id } from "../frame/parts.js";
import type { Frame } from "../frame/types.js";
import type { View } from "../frame/view.js";
import type { Move, MoveKind } from "../navigate/event.js";
import type { NoteCode } from "../navigate/notes.js";
import type { Step } from "../navigate/step.js";
import type { LadderEnd } from "./ladder.js";
import { noteText } from "./note-text.js";
import { type Seen, seenAfter } from "./seen.js";

/** A move as it is printed. */
interface PrintedMove {
  kind: MoveKind;
  in: Id;
  /** Ids of the container's children. */
  leaving: Id | null;
  entering: Id | null;
  toward: Move["toward"];
}

/** What is on screen, as it is printed: the same for every part of the product. */
export interface Snapshot extends Omit<Seen, "ladder" | "moves" | "notes"> {
  /** The top screen after each Back, then `exit`, `stay` or `loop`; empty when the app was left. */
  back: string[];
  moves: PrintedMove[];
  notes: { code: NoteCode; node: Id | null; text: string }[];
}

const ends: Readonly<Record<LadderEnd, string>> = { left: "exit", stays: "stay", round: "loop" };

const printedMove = ({ kind, in: container, leaving, entering, toward }: Move): PrintedMove => ({
  kind,
  in: container,
  leaving: leaving?.node ?? null,
  entering: entering?.node ?? null,
  toward,
});

/** What is seen in the form that is printed: the one place where a ladder's end becomes a word, and a note a text. */
export const printed = (frame: Frame, seen: Seen): Snapshot => ({
  top: seen.top,
  params: seen.params,
  address: seen.address,
  shown: seen.shown,
  trail: seen.trail,
  tabs: seen.tabs,
  bars: seen.bars,
  headers: seen.headers,
  back: seen.ladder ? [...seen.ladder.rungs.map(({ node }) => node), ends[seen.ladder.end]] : [],
  // who compares runs to the letter finds the keys in the order they always had
  ...(seen.top === null ? { ui: seen.ui, overlay: seen.overlay } : { overlay: seen.overlay, ui: seen.ui }),
  carried: seen.carried,
  facts: seen.facts,
  pending: seen.pending,
  asking: seen.asking,
  outside: seen.outside,
  moves: seen.moves.map(printedMove),
  notes: seen.notes.map((note) => ({ code: note.code, node: note.node, text: noteText(frame, note) })),
});

/** What is on screen after a step, as it is printed. */
export const snapshotOf = (frame: Frame, view: View, at: Omit<Step, "passed">): Snapshot =>
  printed(frame, seenAfter(frame, view, at));
