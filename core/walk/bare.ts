import { type Lens } from "../frame/look.js";
import { hubAt, screenAt } from "../frame/nodes.js";
import { type Id, noParams, type Params } from "../frame/parts.js";
import { isUnmade, pathTo } from "../navigate/entries.js";
import { lastOf } from "../frame/sure.js";
import { focusPath } from "../navigate/focus.js";
import { emptyUi, type Entry, type HubEntry, type ScreenEntry, type State, type Ui } from "../navigate/state.js";

// A state without what no later event asks about: the clock, where a screen is scrolled, which row was picked, what
// was handed back, and the words of a draft. What is left is written as text without keys, so that equal states are equal texts, and as a
// state that the engine goes on from as it would from the first one.

/** What stands for whatever a person typed. */
export const sampleText = "1";

/** What stands for what is left out of a state. */
export interface LeaveOut {
  /** A tab in the background, made or not. */
  tab: (id: Id, tab: Entry | undefined) => Entry;
  /** The tabs that were left before. */
  visits: (visits: readonly Id[]) => readonly Id[];
}

/** A state without what does not matter, and its text. */
export interface Bare {
  text: string;
  state: State;
}

const namesText = (values: Params): string => {
  const names = Object.keys(values);
  if (names.length === 0) return "";
  return JSON.stringify(names.sort().map((name) => [name, values[name]]));
};

const draftsOf = ({ drafts }: Ui): string[] =>
  Object.keys(drafts)
    .filter((field) => drafts[field] !== "")
    .sort();

/**
 * Reads entries into bare ones. Keys stay: whoever goes on from bare states sees to it that no key is used twice. What is
 * bare already is the same object.
 */
export class BareReader {
  private readonly marks = new Map<number, string>();
  private readonly marked = new Set<Entry>();
  private top: Entry | null = null;
  text = "";
  /** Whether something may be left out of the entry that is read. */
  private isOpen = false;

  constructor(
    private readonly lens: Lens,
    private readonly leaveOut: LeaveOut | null = null,
    /** The texts of entries that are bare already, with all that is in them. */
    private readonly texts = new WeakMap<Entry, string>(),
  ) {}

  /** Says which entry a key of the state means. */
  private mark(root: Entry, key: number, sign: string): void {
    for (const entry of pathTo(root, key) ?? []) this.marked.add(entry);
    this.marks.set(key, (this.marks.get(key) ?? "") + sign);
  }

  state({ root, facts, drawer, pending, asking, outside, nextKey }: State): Bare {
    const focus = focusPath(this.lens, root);
    this.top = lastOf(focus);
    // only on top it matters whether a screen has gone on by itself
    if (this.hasFired(this.top)) for (const entry of focus) this.marked.add(entry);
    if (pending) this.mark(root, pending.standIn, "=");
    if (asking) {
      this.mark(root, asking.key, "?");
      this.mark(root, asking.top, "^");
    }
    const read = this.entry(root);
    if (read.kind !== "stack") throw new Error("the root is no stack");
    if (pending) {
      const { to, params, with: values, as, how, in: place, cold } = pending;
      this.text += `wait${JSON.stringify([to, as, how, place, cold])}${namesText(params)}+${namesText(values)}`;
    }
    if (asking) this.text += `ask${JSON.stringify(asking.event)}`;
    if (drawer !== null) this.text += `drawer ${drawer}`;
    if (outside) this.text += "out";
    const waits = pending && { ...pending, motion: null };
    return {
      text: this.text,
      state: { root: read, facts, drawer, pending: waits, asking, clock: 0, outside, nextKey },
    };
  }

  entry(entry: Entry): Entry {
    const isMarked = this.marked.has(entry);
    const known = isMarked ? undefined : this.texts.get(entry);
    if (known !== undefined) {
      this.text += known;
      return entry;
    }
    const [before, wasOpen] = [this.text, this.isOpen];
    [this.text, this.isOpen] = ["", false];
    const read = this.read(entry);
    if (!isMarked && !this.isOpen) this.texts.set(read, this.text);
    this.text = before + this.text;
    this.isOpen ||= wasOpen;
    return read;
  }

  private read(entry: Entry): Entry {
    const { key, node, params, carried, opens } = entry;
    this.text += node + namesText(params);
    const carries = namesText(carried);
    if (carries) this.text += `+${carries}`;
    if (opens) this.text += `/${opens}`;
    this.text += this.marks.get(key) ?? "";
    const common = { key, node, params, carried: carries ? carried : noParams, opens, motion: null, ui: emptyUi };
    switch (entry.kind) {
      case "screen":
        return this.screen(entry, common);
      case "stack": {
        this.text += "[";
        const entries = entry.entries.map((inner) => this.inside(inner));
        this.text += "]";
        return { kind: "stack", ...common, since: null, entries };
      }
      case "hub":
        return this.hub(entry, common);
      case "pair": {
        this.text += `{${entry.side} `;
        const list = this.inside(entry.list);
        const detail = entry.detail && this.inside(entry.detail);
        this.text += "}";
        return { kind: "pair", ...common, since: null, list, detail, side: entry.side };
      }
    }
  }

  private hasFired({ kind, since, node }: Entry): boolean {
    return kind === "screen" && since === null && screenAt(this.lens.frame, node).after !== undefined;
  }

  private inside(entry: Entry): Entry {
    const read = this.entry(entry);
    this.text += ",";
    return read;
  }

  private screen(entry: ScreenEntry, common: Omit<ScreenEntry, "kind" | "since">): ScreenEntry {
    const drafts = draftsOf(entry.ui);
    if (drafts.length) this.text += `"${drafts.join()}"`;
    const hasFired = entry === this.top && this.hasFired(entry);
    if (hasFired) this.text += "!";
    const ui: Ui = drafts.length
      ? { ...emptyUi, drafts: Object.fromEntries(drafts.map((field) => [field, sampleText])) }
      : emptyUi;
    return { kind: "screen", ...common, ui, since: hasFired ? null : 0 };
  }

  private hub(entry: HubEntry, common: Omit<HubEntry, "kind" | "active" | "visits" | "tabs" | "since">): HubEntry {
    const { node, active } = entry;
    // which tabs were left before is asked by no other rule
    const isVisited = this.lens.look(node).back === "visited";
    const visits = isVisited ? (this.leaveOut?.visits(entry.visits) ?? entry.visits) : noVisits;
    this.text += `<${active} ${this.leaveOut ? "" : visits.join()} `;
    // whether its tabs are left out depends on where it stands now
    this.isOpen = true;
    const tabs: Record<Id, Entry> = {};
    for (const id of hubAt(this.lens.frame, node).children) {
      const tab = entry.tabs[id];
      if (this.leaveOut && id !== active && !(tab && this.marked.has(tab))) {
        this.text += `${id}#`;
        tabs[id] = this.leaveOut.tab(id, tab);
      } else if (tab && !isUnmade(tab)) tabs[id] = this.inside(tab);
    }
    this.text += ">";
    return { kind: "hub", ...common, since: null, active, visits, tabs };
  }
}

const noVisits: readonly string[] = [];

/** What of a state matters for whatever may follow: states with the same text and facts behave the same. */
export const bareOf = (lens: Lens, state: State): Bare => new BareReader(lens).state(state);
