import {
  carriedOver,
  type Clash,
  type Edit,
  editBetween,
  type Fault,
  faultSays,
  fold,
  type Frame,
  type History,
  type HistoryEvent,
  noRenames,
  type Renames,
  withoutClashes,
} from "../../core/index.js";
import { presentEdit } from "./waiting.js";
import { type Aside, keepAside, readAside } from "./aside.js";
import { keepClashes, readClashes } from "./clashes.js";
import { tellOfEdit } from "./tell-of-edit.js";
import { External, together } from "./external.js";
import { newKey } from "./key.js";
import type { HeadAnswer } from "./frame-path.js";
import { Sync } from "./sync.js";
import type { Standing, Theirs } from "./sync-host.js";

/** Something to tell the person: what happened, and what was kept. */
export interface Message {
  tone: "fault" | "plain";
  text: string;
}

/** The frame that is worked on, how it came to be so, and how it and the server stand. */
export interface Edited extends Standing {
  id: string;
  /** It may be changed from here, rather than looked at alone. */
  mayChange: boolean;
  /** The key by which others may look at it; null where no key is asked for. */
  look: string | null;
  frame: Frame;
  history: History;
  message: Message | null;
  /** What was written here and elsewhere at once, until one of both is chosen. */
  clashes: readonly Clash[];
  /** Edits that the server could not store, until the person has seen to them. */
  aside: readonly Aside[];
  /** Both are kept in this browser, and there again after it was closed. */
  isUnsettledKept: boolean;
}

/** Whoever goes on with the frame as it was edited, here or elsewhere. */
export type Follower = (before: Frame, frame: Frame, renamed: Renames) => void;

/** What a change is called where it is kept: as long as the server takes it, whatever was put before it. */
const called = (label: string): string => label.slice(0, 200).toWellFormed();

/** The frame, its history and the server: edits apply at once and are sent behind. */
export class Editing extends External<Edited> {
  private readonly sync: Sync;
  private readonly followers: Follower[] = [];
  /** Where refusals go while somebody asks for them. */
  private heard: string[] | null = null;

  constructor(head: HeadAnswer) {
    const { id, revision, frame } = head;
    super({
      id,
      mayChange: head.mayChange ?? true,
      look: head.look ?? null,
      frame,
      history: { frame, done: [], undone: [] },
      revision,
      sync: "saved",
      waiting: 0,
      isKept: true,
      message: null,
      deleted: head.deleted ?? false,
      trouble: null,
      file: head.file ?? null,
      clashes: readClashes(id),
      aside: readAside(id),
      isUnsettledKept: true,
    });
    this.sync = new Sync(head, {
      stand: (change) => this.set(change),
      show: (shown, theirs) => this.show(shown, theirs),
      again: (queued) =>
        void this.fold({ do: "edit", edit: presentEdit(this.get().frame, queued), label: queued.label }, queued.key),
      dropped: (edit, left, clashes) => this.forget(edit, left, clashes),
      clashed: (found) => this.takeClashes(found),
      aside: (edits) => this.keepAside([...this.get().aside, ...edits]),
      fault: (text) => this.say("fault", text),
    });
  }

  /** Calls whoever goes on with the frame whenever that was edited. */
  follow(follower: Follower): void {
    this.followers.push(follower);
  }

  /** Follows what others do to the frame, and sends what waits; the answer ends both. */
  open(): () => void {
    const close = this.sync.open();
    addEventListener("beforeunload", this.onLeaving);
    return () => {
      removeEventListener("beforeunload", this.onLeaving);
      close();
    };
  }

  /** What is kept nowhere is asked about before the window is closed. */
  private readonly onLeaving = (event: Event): void => {
    const { isKept, isUnsettledKept } = this.get();
    if (!isKept || !isUnsettledKept) event.preventDefault();
  };

  say(tone: Message["tone"], text: string): void {
    this.set({ message: { tone, text } });
  }

  hush(): void {
    this.set({ message: null });
  }

  private changeTo(frame: Frame, history: History, renamed: Renames, more: Partial<Edited> = {}): void {
    const { frame: before } = this.get();
    together(() => {
      this.set({ frame, history, ...more });
      for (const follower of this.followers) follower(before, frame, renamed);
    });
  }

  private fold(event: HistoryEvent, key = newKey()): Fault[] | null {
    const folded = fold(this.get().history, event);
    if (!folded.ok) return folded.faults;
    const { patches, renamed } = folded.result;
    if (patches.length === 0) return null;
    together(() => {
      this.changeTo(folded.history.frame, folded.history, renamed, { message: null });
      this.sync.push({ key, label: called(folded.label), edit: folded.edit });
    });
    tellOfEdit(called(folded.label));
    return null;
  }

  /** Makes an edit; answers the faults that forbid it, which are told too, or null. */
  edit(edit: Edit, label: string): Fault[] | null {
    if (this.isLookedAt()) return [];
    const faults = this.fold({ do: "edit", edit, label: called(label) });
    this.tell(faults);
    return faults;
  }

  undo(): void {
    if (this.get().history.done.length && !this.isLookedAt()) this.tell(this.fold({ do: "undo" }));
  }

  redo(): void {
    if (this.get().history.undone.length && !this.isLookedAt()) this.tell(this.fold({ do: "redo" }));
  }

  private tell(faults: Fault[] | null): void {
    const [first] = faults ?? [];
    if (first) this.refuse(faultSays(this.get().frame, first));
  }

  private refuse(text: string): void {
    if (this.heard) this.heard.push(text);
    else this.say("fault", text);
  }

  /** Whether nothing may be changed from here, which is said. */
  private isLookedAt(): boolean {
    if (this.get().mayChange) return false;
    this.refuse("This frame is shown to be looked at: nothing was changed.");
    return true;
  }

  /** Does something, and answers why it was refused instead of telling it above the page: for a field that says it itself. */
  readonly refusalOf = (work: () => void): string | null => {
    const outer = this.heard;
    const heard: string[] = [];
    this.heard = heard;
    try {
      work();
    } finally {
      this.heard = outer;
    }
    return heard[0] ?? null;
  };

  /** Makes the frame what it was at a revision: a change like any other, so that it can be undone. Says so if it is that already. */
  restore(frame: Frame, number: number): void {
    const edit = editBetween(this.get().frame, frame);
    if (edit.nodes || edit.fields) this.edit(edit, `Restore revision ${number}`);
    else this.say("plain", `The frame is as it was at revision ${number} already.`);
  }

  private show(frame: Frame, theirs: Theirs | null): void {
    const { history } = this.get();
    if (frame === history.frame) return;
    const { edits, renamed } = theirs ?? { edits: [editBetween(history.frame, frame)], renamed: noRenames };
    this.changeTo(frame, carriedOver(history, frame, edits), renamed);
  }

  /** Makes an edit again that the server could not store; it is set aside once more if that is so still. */
  tryAgain(aside: Aside): void {
    this.makeInstead(aside, presentEdit(this.get().frame, aside));
  }

  /** Makes an edit in place of one that was set aside. */
  makeInstead(aside: Aside, edit: Edit): void {
    const faults = this.edit(edit, aside.label);
    if (!faults) this.letGo(aside);
  }

  /** Forgets an edit that was set aside. */
  letGo(aside: Aside): void {
    this.keepAside(this.get().aside.filter((each) => each !== aside));
  }

  private keepAside(aside: readonly Aside[]): void {
    this.keepUnsettled({ aside });
  }

  /** Chooses one of two values that were written at once. */
  settleClash(clash: Clash, mine: boolean): void {
    const { node, key } = clash;
    if (mine) {
      const given = { [key]: clash.mine };
      const change = clash.mine === undefined ? { drop: [key] } : { set: given };
      const edit: Edit = { kind: "restore", ...(node === null ? { fields: change } : { nodes: { [node]: change } }) };
      if (this.edit(edit, `Keep what was written here: ${node ?? "the frame"}, ${key}`)) return;
    }
    this.keepClashes(this.get().clashes.filter((each) => each !== clash));
  }

  /** Of several values written here one after another the last one counts. */
  private takeClashes(found: readonly Clash[]): void {
    const last = new Map([...this.get().clashes, ...found].map((clash) => [`${clash.node} ${clash.key}`, clash]));
    this.keepClashes([...last.values()]);
  }

  private keepClashes(clashes: readonly Clash[]): void {
    this.keepUnsettled({ clashes });
  }

  private keepUnsettled(change: Partial<Pick<Edited, "aside" | "clashes">>): void {
    const { id, aside, clashes } = { ...this.get(), ...change };
    const areKept = [keepAside(id, aside), keepClashes(id, clashes)];
    this.set({ ...change, isUnsettledKept: areKept.every(Boolean) });
  }

  /** An edit that was not made as it was is undone no further than it was made. */
  private forget(edit: Edit, left: Edit | null, clashes: readonly Clash[]): void {
    const { history } = this.get();
    const done = history.done.flatMap((change) => {
      if (change.edit !== edit) return [change];
      const inverse = left && withoutClashes(change.inverse, clashes);
      return left && inverse ? [{ ...change, edit: left, inverse }] : [];
    });
    this.set({ history: { ...history, done } });
  }
}
