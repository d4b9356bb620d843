import { draftFieldsOf } from "../frame/drafts.js";
import { indexOf } from "../frame/frame-index.js";
import { lensOf } from "../frame/look.js";
import { nodeAt, nodeIn } from "../frame/nodes.js";
import type { Id } from "../frame/parts.js";
import type { Frame } from "../frame/types.js";
import type { View } from "../frame/view.js";
import type { NavigationEvent } from "../navigate/event.js";
import { focusPath, topOf } from "../navigate/focus.js";
import { sightOf } from "../navigate/sight.js";
import type { HubEntry, State } from "../navigate/state.js";
import { launch } from "../navigate/step.js";
import { factsFor } from "../explore/standpoint.js";
import { exploreFrom, type Reached, throughAll } from "../explore/route.js";
import { heldOf } from "./pieces.js";

/** A state in which a person has much to lose, and what brings a device there from a launch. */
export interface WorstCase {
  /** The launch, with the facts that the state needs. */
  start: State;
  events: NavigationEvent[];
  state: State;
}

/** So many screens of a tab are looked at for the deepest one. */
const mostLooked = 60;
/** Screens that go on by themselves are passed over, so many of them. */
const mostPassed = 8;
/** px that every screen is scrolled. */
const scrolled = 240;

class Walk {
  readonly events: NavigationEvent[] = [];

  constructor(
    readonly frame: Frame,
    readonly view: View,
    public state: State,
  ) {}

  go(event: NavigationEvent): void {
    const { state, events } = throughAll(this.frame, this.view, this.state, [event]);
    if (state === this.state) return;
    this.events.push(...events);
    this.state = state;
  }

  /** Lets what goes on by itself go on: past a splash. */
  land(): void {
    for (let i = 0; i < mostPassed; i += 1) {
      const node = nodeIn(this.frame, topOf(lensOf(this.frame, this.view), this.state.root).node);
      if (node?.kind !== "screen" || !node.after) return;
      this.go({ do: "wait", ms: node.after.ms });
    }
  }

  /** Goes to a screen that was found from here, using every screen on the way. */
  along(reached: Reached | null | undefined): void {
    this.use();
    for (const event of reached?.events ?? []) {
      this.go(event);
      this.use();
    }
  }

  /** Scrolls the top screen, and types into all of its fields. */
  use(): void {
    const top = topOf(lensOf(this.frame, this.view), this.state.root);
    const node = nodeIn(this.frame, top.node);
    if (!node || this.state.outside) return;
    const body = node.kind === "screen" ? node.body : undefined;
    if (top.ui.scroll === 0 && body && body.kind !== "blank" && body.kind !== "media")
      this.go({ do: "scroll", to: scrolled });
    for (const field of draftFieldsOf(node)) {
      const isSwitch = body?.kind === "form" && body.fields.some(({ id, input }) => id === field && input === "switch");
      if (!top.ui.drafts[field]) this.go({ do: "type", field, text: isSwitch ? "true" : "half a sentence" });
    }
  }
}

/** Ends a search once so many screens were found. */
const soMany = (most: number) => {
  let found = 0;
  return () => (found += 1) > most;
};

const depthOf = (frame: Frame, view: View, { state }: Reached): number => {
  const path = focusPath(lensOf(frame, view), state.root);
  return path.reduce((sum, entry) => sum + (entry.kind === "stack" ? entry.entries.length : 1), 0);
};

/** The best screen to be left on in a tab: one that is typed on, as deep as can be. */
const deepest = (walk: Walk, hub: HubEntry, tab: Id): Reached | null => {
  const { frame, view, state } = walk;
  const hubNow = (at: State) => focusPath(lensOf(frame, view), at.root).find(({ key }) => key === hub.key);
  const isInTab = (at: State): boolean => {
    const now = hubNow(at);
    return now?.kind === "hub" && now.active === tab;
  };
  const found = exploreFrom(frame, view, state, {
    // what chooses another tab leads out of this one
    tries: (events) => events.every((event) => event.do !== "tab" && event.do !== "menu"),
    within: (at) => isInTab(at) && sightOf(lensOf(frame, view), at).drawer === null,
    enough: soMany(mostLooked),
  });
  let best: { reached: Reached; worth: number } | null = null;
  for (const [id, reached] of found) {
    if (!isInTab(reached.state)) continue;
    const node = nodeIn(frame, id);
    const worth = depthOf(frame, view, reached) + (node && draftFieldsOf(node).length > 0 ? 4 : 0);
    if (!best || worth > best.worth) best = { reached, worth };
  }
  return best?.reached ?? null;
};

/** The first hub of a frame, down from the root: whose tabs a person has to do with. */
const mainHub = (frame: Frame): Id | undefined =>
  [...indexOf(frame).ways.keys()].find((id) => nodeAt(frame, id).kind === "hub");

/** A bad case for everything that may happen: every tab deep, scrolled, with drafts on it, as far as the frame lets them stay. */
export const worstCase = (frame: Frame, view: View): WorstCase => {
  const id = mainHub(frame);
  const start = launch(frame, view, factsFor(frame, id ?? frame.root)).state;
  const walk = new Walk(frame, view, start);
  walk.land();
  if (id !== undefined) walk.go({ do: "open", to: id });
  const hubNow = (): HubEntry | undefined => {
    const entry = focusPath(lensOf(frame, view), walk.state.root).find(({ node }) => node === id);
    return entry?.kind === "hub" ? entry : undefined;
  };
  const hub = hubNow();
  const node = id === undefined ? undefined : nodeAt(frame, id);
  if (!hub || node?.kind !== "hub") {
    const found = exploreFrom(frame, view, walk.state, { enough: soMany(mostLooked) });
    const [deepestOfAll] = [...found.values()].toSorted((a, b) => depthOf(frame, view, b) - depthOf(frame, view, a));
    walk.along(deepestOfAll);
    return { start, events: walk.events, state: walk.state };
  }
  // the tab that it begins with is filled last, so that the person is on it
  const others = node.children.filter((tab) => tab !== hub.active);
  for (const tab of [...others, hub.active]) {
    walk.go({ do: "open", to: tab });
    const now = hubNow();
    if (now?.active === tab) walk.along(deepest(walk, now, tab));
  }
  return { start, events: walk.events, state: walk.state };
};

/** How much there is to lose in a state: deep screens, drafts, scrolled ones. */
export const muchIn = (state: State): { screens: number; drafts: number; scrolled: number } => ({
  screens: heldOf(state, "place").length,
  drafts: heldOf(state, "draft").length,
  scrolled: heldOf(state, "scroll").length,
});
