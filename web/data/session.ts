import { carriedOver, type Clash, type Edit, editBetween, type Fault, faultSays, fold, type Frame, type History, type HistoryEvent, type Id, type NavigationEvent, noRenames, nowNamed, type Part, type Renames, type View, withoutClashes, landed, type Trial } from "../../core/index.js";
import { type Aside, keepAside, readAside } from "./aside.js";
import { type Device, lastingFacts, linkedDevice, newDevice, putOn, withEvent, withFrame } from "./device.js";
import { External } from "./external.js";
import { newKey } from "./key.js";
import type { HeadAnswer } from "./shelf.js";
import { keepStored, readStored } from "./storage.js";
import { type Standing, Sync, type Theirs } from "./sync.js";

/** Something to tell the person: what happened, and what was kept. */
export interface Message {
  tone: "fault" | "plain";
  text: string;
}

/** What is chosen on the plan: a node, in one of its places. */
export type Chosen = Part;

/** What the bench shows instead of what is chosen: how the frame's devices are drawn, which there are, a list to make, ways. */
export const panels = ["theme", "devices", "list", "routes"] as const;
export type Panel = (typeof panels)[number];

/** These are about what is chosen too, so that choosing something else leaves them open. */
const staying: readonly (Panel | null)[] = ["list", "routes"];

/** Everything about one open frame that the page shows. */
export interface Session extends Standing {
  id: string;
  frame: Frame;
  history: History;
  message: Message | null;
  /** What was written here and elsewhere at once, until one of both is chosen. */
  clashes: readonly Clash[];
  /** Edits that the server could not store, until the person has seen to them. */
  aside: readonly Aside[];
  device: Device;
  chosen: Chosen | null;
  /** What is chosen with it. */
  others: readonly Chosen[];
  /**
   * What is chosen is to have the focus where it is drawn, so that keys go on from there: as something over the plan is
   * closed, or (`found`) as it was asked for from elsewhere, and has to come into sight.
   */
  reveal: "focus" | "found" | null;
  /** What the bench shows instead of what is chosen. */
  panel: Panel | null;
  /** The companion shows a device for each target. */
  sideBySide: boolean;
}

const noOthers: readonly Chosen[] = [];

const clashKey = (id: string): string => `handy-frame:clashes:${id}`;
const deviceKey = (id: string): string => `handy-frame:device:${id}`;

/** One open frame: edits apply at once and are sent behind; the device follows every change. */
export class OpenFrame {
  readonly external: External<Session>;
  /** What is chosen is a step of its own in the page's history. */
  choiceIsStep = false;
  private readonly sync: Sync;
  /** Where refusals go while somebody asks for them. */
  private heard: string[] | null = null;

  constructor(head: HeadAnswer, given: Partial<View>) {
    const { id, revision, frame } = head;
    const history: History = { frame, done: [], undone: [] };
    const device = this.deviceFrom(frame, id, given);
    this.external = new External<Session>({
      id,
      frame,
      history,
      revision,
      sync: "saved",
      waiting: 0,
      message: null,
      deleted: head.deleted ?? false,
      trouble: null,
      file: head.file ?? null,
      clashes: readStored<Clash[]>("local", clashKey(id)) ?? [],
      aside: readAside(id),
      device,
      chosen: null,
      others: noOthers,
      reveal: null,
      panel: null,
      sideBySide: false,
    });
    this.sync = new Sync(head, {
      stand: (change) => this.external.set(change),
      show: (frame, theirs) => this.show(frame, theirs),
      again: ({ key, label, edit }) => void this.fold({ do: "edit", edit, label }, key),
      dropped: (edit, left, clashes) => this.forget(edit, left, clashes),
      clashed: (found) => {
        // of several values written here one after another the last one counts
        const last = new Map([...this.now.clashes, ...found].map((clash) => [`${clash.node} ${clash.key}`, clash]));
        this.keepClashes([...last.values()]);
      },
      aside: (edits) => this.keepAside([...this.now.aside, ...edits]),
      fault: (text) => this.say("fault", text),
    });
  }

  /** The device as this window left it, as far as the frame still has its place. */
  private deviceFrom(frame: Frame, id: string, given: Partial<View>): Device {
    const device = newDevice(frame, given);
    const left = readStored<Device["at"]["state"]>("session", deviceKey(id));
    if (!left) return device;
    try {
      return withFrame(frame, {
        ...device,
        at: { state: left, moves: [], notes: [] },
        reasons: ["As this window left it."],
      });
    } catch {
      return device;
    }
  }

  private get now(): Session {
    return this.external.get();
  }

  /** Follows what others do to the frame, and sends what waits; the answer ends both. */
  open(): () => void {
    const close = this.sync.open();
    const leaving = () => keepStored("session", deviceKey(this.now.id), this.now.device.at.state);
    addEventListener("pagehide", leaving);
    return () => {
      close();
      leaving();
      removeEventListener("pagehide", leaving);
    };
  }

  say(tone: Message["tone"], text: string): void {
    this.external.set({ message: { tone, text } });
  }

  hush(): void {
    if (this.now.message) this.external.set({ message: null });
  }

  private fold(event: HistoryEvent, key = newKey()): Fault[] | null {
    const { history, device } = this.now;
    const folded = fold(history, event);
    if (!folded.ok) return folded.faults;
    const { patches, renamed } = folded.result;
    if (patches.length === 0) return null;
    const { frame } = folded.history;
    this.external.set({
      frame,
      history: folded.history,
      device: withFrame(frame, device, renamed, history.frame),
      message: null,
      ...this.chosenAs(renamed),
    });
    this.sync.push({ key, label: folded.label, edit: folded.edit });
    return null;
  }

  /** What is chosen, under the ids that it has now. */
  private chosenAs(renamed: Renames): Partial<Pick<Session, "chosen" | "others">> {
    if (renamed === noRenames || Object.keys(renamed).length === 0) return {};
    const now = ({ id, parent }: Chosen): Chosen => ({
      id: nowNamed(id, renamed),
      parent: parent && nowNamed(parent, renamed),
    });
    const { chosen, others } = this.now;
    return { chosen: chosen && now(chosen), others: others.map(now) };
  }

  /** Shows something of the whole frame on the bench; null goes back to what is chosen. */
  showPanel(panel: Panel | null): void {
    this.external.set({ panel });
  }

  showAllTargets(sideBySide: boolean): void {
    this.external.set({ sideBySide });
  }

  choose(chosen: Chosen | null, others: readonly Chosen[] = noOthers, isFound = false): void {
    const { panel } = this.now;
    const reveal = isFound ? "found" : null;
    this.external.set({ chosen, others, reveal, panel: staying.includes(panel) ? panel : null });
  }

  /** The focus goes to the plan, to what is chosen there. */
  focusPlan(): void {
    if (!this.now.reveal) this.external.set({ reveal: "focus" });
  }

  /** What was asked for has the focus. */
  revealed(): void {
    if (this.now.reveal) this.external.set({ reveal: null });
  }

  /** Makes an edit; answers the faults that forbid it, which are told too, or null. */
  edit(edit: Edit, label: string): Fault[] | null {
    const faults = this.fold({ do: "edit", edit, label: label.slice(0, 200).toWellFormed() });
    this.tell(faults);
    return faults;
  }

  undo(): void {
    if (this.now.history.done.length) this.tell(this.fold({ do: "undo" }));
  }

  redo(): void {
    if (this.now.history.undone.length) this.tell(this.fold({ do: "redo" }));
  }

  private tell(faults: Fault[] | null): void {
    const text = faults && faultSays(this.now.frame, faults[0]!);
    if (text === null) return;
    if (this.heard) this.heard.push(text);
    else this.say("fault", text);
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
    const edit = editBetween(this.now.frame, frame);
    if (edit.nodes || edit.fields) this.edit(edit, `Restore revision ${number}`);
    else this.say("plain", `The frame is as it was at revision ${number} already.`);
  }

  /** An event on the device; on one of another target, if that is named: the state is the same on all. */
  send(event: NavigationEvent, target?: Id): void {
    const { frame, device } = this.now;
    const own = device.view.target;
    const next = withEvent(frame, { ...device, view: { ...device.view, target: target ?? own } }, event);
    this.external.set({ device: { ...next, view: { ...next.view, target: own } } });
  }

  relaunch(): void {
    const { frame, device } = this.now;
    this.external.set({ device: newDevice(frame, device.view, lastingFacts(frame, device.at.state)) });
  }

  /** Follows a link on the device as it is tried: in an app that starts by it, or that has just been launched, with these facts. */
  tryOnDevice(url: string, { start, facts }: Trial): void {
    const { frame, device } = this.now;
    const landing: Device = { ...device, at: { state: landed(frame, device.view, facts), moves: [], notes: [] } };
    this.external.set({
      device:
        start === "cold"
          ? linkedDevice(frame, device.view, facts, url)
          : withEvent(frame, landing, { do: "link", url, start }),
    });
  }

  putDevice(id: Id): void {
    const { frame, device } = this.now;
    this.external.set({ device: putOn(frame, device, id) });
  }

  /** Puts the device where a route starts and goes along it. */
  follow(start: Device["at"]["state"], events: readonly NavigationEvent[]): void {
    const { frame, device } = this.now;
    let next: Device = { ...device, at: { state: start, moves: [], notes: [] } };
    for (const event of events) next = withEvent(frame, next, event);
    this.external.set({ device: next });
  }

  setView(given: Partial<View>): void {
    const { frame, device } = this.now;
    this.external.set({ device: withFrame(frame, { ...device, view: { ...device.view, ...given } }) });
  }

  private show(frame: Frame, theirs: Theirs | null): void {
    const { history, device } = this.now;
    if (frame === history.frame) return;
    const { edits, renamed } = theirs ?? { edits: [editBetween(history.frame, frame)], renamed: noRenames };
    this.external.set({
      frame,
      history: carriedOver(history, frame, edits),
      device: withFrame(frame, device, renamed, history.frame),
      ...this.chosenAs(renamed),
    });
  }

  /** Makes an edit again that the server could not store; it is set aside once more if that is so still. */
  tryAgain(aside: Aside): void {
    const faults = this.edit(aside.edit, aside.label);
    if (!faults) this.letGo(aside);
  }

  /** Forgets an edit that was set aside. */
  letGo(aside: Aside): void {
    this.keepAside(this.now.aside.filter((each) => each !== aside));
  }

  private keepAside(aside: readonly Aside[]): void {
    keepAside(this.now.id, aside);
    this.external.set({ aside });
  }

  /** Chooses one of two values that were written at once. */
  settleClash(clash: Clash, mine: boolean): void {
    const { node, key } = clash;
    if (mine) {
      const value = clash.mine === undefined ? {} : { value: clash.mine };
      const edit: Edit =
        node === null ? { kind: "setFrame", key: key as never, ...value } : { kind: "set", node, key, ...value };
      if (this.edit(edit, `Keep what was written here: ${node ?? "the frame"}, ${key}`)) return;
    }
    this.keepClashes(this.now.clashes.filter((each) => each !== clash));
  }

  private keepClashes(clashes: readonly Clash[]): void {
    keepStored("local", clashKey(this.now.id), clashes.length ? clashes : null);
    this.external.set({ clashes });
  }

  /** An edit that was not made as it was is undone no further than it was made. */
  private forget(edit: Edit, left: Edit | null, clashes: readonly Clash[]): void {
    const { history } = this.now;
    const done = history.done.flatMap((change) => {
      if (change.edit !== edit) return [change];
      const inverse = left && withoutClashes(change.inverse, clashes);
      return left && inverse ? [{ ...change, edit: left, inverse }] : [];
    });
    this.external.set({ history: { ...history, done } });
  }
}
