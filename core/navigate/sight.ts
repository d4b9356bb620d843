import { heldIn, isLifted, type Lens } from "../frame/look.js";
import type { Face, Id, Opens, SeenFace } from "../frame/parts.js";
import { type ShownTabs, tabsOf } from "../frame/tabs.js";
import { activeTab } from "./entries.js";
import { firstOverlay, focusPath, isSplit, opensAt, paneOf, shownInside } from "./focus.js";
import {
  type Entry,
  type HubEntry,
  isStuck,
  type PairEntry,
  type Pane,
  type ScreenEntry,
  type StackEntry,
  type State,
} from "./state.js";

// What can be seen of a state, and what of that can be touched: which bars, screens and overlays there are. The strips over
// them are no matter of the engine; they are drawn onto this by who observes.

/** A hub's face as it can be seen. */
export interface SeenBar extends ShownTabs {
  hub: Id;
  /** The key of the hub's entry. */
  key: number;
  face: SeenFace;
  active: Id;
  /** It lies under an overlay or beside an open drawer: nothing on it can be chosen. */
  inert: boolean;
  /** A drawer that is open. */
  open: boolean;
}

/** Whether a bar is seen: a drawer is while it is open. */
export const isBarInSight = ({ face, open }: Pick<SeenBar, "face" | "open">): boolean => face !== "drawer" || open;

/** What an entry shows: a tree like the entries', without what cannot be seen. */
export type Scene = ScreenScene | StackScene | HubScene | PairScene;

/** How something lies to the overlays around it. */
interface Lying {
  /** It lies under an overlay over its region. */
  inert: boolean;
  /** How many overlays over all lie beneath it. */
  level: number;
}
/** A screen that can be seen. */
export interface ScreenScene extends Lying {
  kind: "screen";
  entry: ScreenEntry;
}
/** A stack with what shows in it. */
export interface StackScene extends Lying {
  kind: "stack";
  entry: StackEntry;
  /** The topmost pushed entry; null when a full screen covers it. */
  base: Scene | null;
  /** The overlays that cover this stack's region alone, lowest first. */
  over: OverlayScene[];
}
/** A hub with its face and the chosen tab. */
export interface HubScene extends Lying {
  kind: "hub";
  entry: HubEntry;
  bar: (SeenBar & Lying) | null;
  /** The face that it has here, seen or not. */
  face: Face;
  child: Scene;
}
/** One pane of a pair. */
export interface PaneScene {
  pane: Pane;
  child: Scene;
}
/** Both panes of a pair that is split; the list alone when there is no detail; else the one that shows. */
export interface PairScene extends Lying {
  kind: "pair";
  entry: PairEntry;
  split: boolean;
  panes: PaneScene[];
}
/** How an overlay opens. */
export type OverlayOpens = Exclude<Opens, "push">;
/** Something that lies over all, or over the region of its stack. */
export interface OverlayScene extends Lying {
  entry: Entry;
  opens: OverlayOpens;
  over: "all" | "region";
  /** The stack that shows it. */
  stack: StackEntry;
  child: Scene;
}

/** Everything that can be seen, and what of it can be touched. */
export interface Sight {
  /** Null when a full screen covers all of it. */
  base: Scene | null;
  /** The overlays over everything, lowest first. */
  over: OverlayScene[];
  focus: readonly Entry[];
  /** The top screen; null while nothing may be shown. */
  top: ScreenEntry | null;
  /** The top overlay, if there is one. */
  overlay: { node: Id; opens: OverlayOpens } | null;
  /** The faces that can be seen, outermost first. */
  bars: SeenBar[];
  /** The screens that can be seen, back to front. */
  screens: ScreenScene[];
  /** The hub whose drawer is open in this view. */
  drawer: Id | null;
  /** How many overlays over all there are: what lies on a lower level is inert. Infinite while a screen asks: all is. */
  highest: number;
}

/** Whether the topmost pushed entry in here asks for the bars around it to go. */
const hidesBars = (lens: Lens, container: Entry, entry: Entry, narrow: boolean): boolean => {
  if (heldIn(lens, entry.node, container.node, "bars") === "hide") return true;
  if (entry.kind === "screen" || (entry.kind === "pair" && isSplit(lens, entry, narrow))) return false;
  const shown =
    entry.kind === "stack" ? entry.entries[firstOverlay(lens, entry) - 1] : shownInside(lens, entry, narrow);
  return shown !== undefined && hidesBars(lens, entry, shown, narrow);
};

/**
 * Builds the scene of a state, and gathers on the way what lies over everything. Of the place of an entry two things are
 * known: whether it is `narrow`, inside a sheet, dialog or side, and `inert`, under an overlay over its region. Scenes are
 * written out key by key: they are most of what looking at a state costs.
 */
class SceneBuilder {
  over: OverlayScene[] = [];
  overlay: Sight["overlay"] = null;

  constructor(
    readonly lens: Lens,
    readonly facts: State["facts"],
    readonly focus: readonly Entry[],
    readonly root: Entry,
  ) {}

  scene(entry: Entry, narrow: boolean, inert: boolean): Scene {
    switch (entry.kind) {
      case "screen":
        return { kind: "screen", entry, inert, level: this.over.length };
      case "stack":
        return this.stack(entry, narrow, inert);
      case "hub":
        return this.hub(entry, narrow, inert);
      case "pair":
        return this.pair(entry, narrow, inert);
    }
  }

  private stack(entry: StackEntry, narrow: boolean, inert: boolean): StackScene {
    const { lens } = this;
    const { entries } = entry;
    const first = firstOverlay(lens, entry);
    const scene: StackScene = { kind: "stack", entry, base: null, over: [], inert, level: this.over.length };
    const base = entries[first - 1];
    if (first === entries.length) {
      if (base) scene.base = this.scene(base, narrow, inert);
      return scene;
    }
    const isOver = (over: "all" | "region", i: number): boolean => lens.look(entries[i]?.node ?? "").over === over;
    // a full screen over its region hides what is in it: what lies under it there is not seen
    const hides = entries.findLastIndex(
      (_, i) => i >= first && isOver("region", i) && opensAt(lens, entry, i) === "fullscreen",
    );
    const lifted = entries.findIndex((_, i) => i >= first && isOver("all", i));
    const before = this.over.length;
    if (hides < first && base) {
      const hasLocal = lifted !== first;
      scene.base = this.scene(base, narrow, inert || hasLocal);
    }
    // an overlay over its region that is laid on one over all has to lie above that, in this stack or in what it holds
    const local = this.over.length > before ? first : lifted < 0 ? entries.length : lifted;
    for (let i = first; i < entries.length; i += 1) {
      // over everything there is more than this region, but for the root, of which it is all
      if (i < hides && (isOver("region", i) || entry === this.root)) continue;
      const isLocal = i < local;
      this.lay(scene, i, narrow, isLocal, isLocal && (inert || i < local - 1));
    }
    return scene;
  }

  /** Lays the overlay at `i` of a stack: over its region, or over all. */
  private lay(scene: StackScene, i: number, narrow: boolean, isLocal: boolean, inert: boolean): void {
    const { entry: stack } = scene;
    const entry = stack.entries[i];
    const opens = opensAt(this.lens, stack, i);
    if (!entry || opens === "push") return;
    if (this.focus.includes(entry)) this.overlay = { node: entry.node, opens };
    const { over } = this.lens.look(entry.node);
    // what lies over all takes its place before what lies over that in turn
    const list = isLocal ? scene.over : this.over;
    const level = isLocal ? this.over.length : this.over.length + 1;
    const made: OverlayScene = { entry, opens, over, stack, inert, level, child: scene };
    list.push(made);
    made.child = this.scene(entry, narrow || isLifted(opens), inert);
  }

  private hub(entry: HubEntry, narrow: boolean, inert: boolean): HubScene {
    const { lens } = this;
    const child = activeTab(entry);
    const { face } = lens.look(entry.node);
    const isHidden = (face === "bar" || face === "top") && hidesBars(lens, entry, child, narrow);
    const level = this.over.length;
    const bar = face === "none" || isHidden ? null : this.bar(entry, face, inert);
    return { kind: "hub", entry, bar, face, inert, level, child: this.scene(child, narrow, inert) };
  }

  private bar({ node, key, active }: HubEntry, face: SeenFace, inert: boolean): HubScene["bar"] {
    const { tabs, more } = tabsOf(this.lens, node, face, this.facts);
    return { hub: node, key, face, active, tabs, more, inert, open: false, level: this.over.length };
  }

  private pair(entry: PairEntry, narrow: boolean, inert: boolean): PairScene {
    const { lens } = this;
    const { list, detail } = entry;
    const split = isSplit(lens, entry, narrow);
    const shown = paneOf(lens, entry, narrow);
    const scene: PairScene = { kind: "pair", entry, split, panes: [], inert, level: this.over.length };
    const pane = (name: Pane, child: Entry): PaneScene => ({ pane: name, child: this.scene(child, narrow, inert) });
    // of both panes the overlays of the list come first; those of the one that is followed have to lie above them
    if (detail && (split || shown === "detail")) {
      const second = split && shown === "list" ? pane("detail", detail) : null;
      if (split) scene.panes.push(pane("list", list));
      scene.panes.push(second ?? pane("detail", detail));
    } else scene.panes.push(pane("list", list));
    return scene;
  }
}

/** Gathers what is seen of a scene, back to front. */
const eachSeen = (scene: Scene, screens: ScreenScene[], bars: (SeenBar & Lying)[]): void => {
  switch (scene.kind) {
    case "screen":
      screens.push(scene);
      return;
    case "stack":
      if (scene.base) eachSeen(scene.base, screens, bars);
      for (const overlay of scene.over) eachSeen(overlay.child, screens, bars);
      return;
    case "hub":
      if (scene.bar) bars.push(scene.bar);
      return eachSeen(scene.child, screens, bars);
    case "pair":
      for (const pane of scene.panes) eachSeen(pane.child, screens, bars);
  }
};

/** The hubs around the top screen that show as a drawer, the innermost last. */
export const drawersOf = ({ bars, focus }: Pick<Sight, "bars" | "focus">): SeenBar[] =>
  bars.filter((bar) => bar.face === "drawer" && focus.some((entry) => entry.key === bar.key));

/** The drawer that a person opens or closes here: the open one, else the innermost around the top screen that can be touched. */
export const drawerOf = (sight: Pick<Sight, "bars" | "focus">): SeenBar | undefined => {
  const drawers = drawersOf(sight);
  return drawers.find((bar) => bar.open) ?? drawers.findLast((bar) => !bar.inert);
};

/** What can be seen where nothing may be shown. */
const nothing: Omit<Sight, "focus"> = {
  base: null,
  over: [],
  top: null,
  overlay: null,
  bars: [],
  screens: [],
  drawer: null,
  highest: 0,
};

/** What can be seen of a state, and what of that can be touched. */
export const sightOf = (lens: Lens, state: State): Sight => {
  const focus = focusPath(lens, state.root);
  const top = focus[focus.length - 1];
  if (isStuck(state) || top?.kind !== "screen") return { ...nothing, focus };
  const builder = new SceneBuilder(lens, state.facts, focus, state.root);
  const root = builder.scene(state.root, false, false);
  const full = builder.over.findLastIndex((overlay) => overlay.opens === "fullscreen" && overlay.over === "all");
  const base = full < 0 ? root : null;
  const over = full < 0 ? builder.over : builder.over.slice(full);
  // what asks lies over all there is
  const highest = state.asking ? Infinity : builder.over.length;

  const bars: (SeenBar & Lying)[] = [];
  const screens: ScreenScene[] = [];
  if (base) eachSeen(base, screens, bars);
  for (const overlay of over) eachSeen(overlay.child, screens, bars);
  if (highest > 0) {
    for (const screen of screens) screen.inert ||= screen.level < highest;
    for (const bar of bars) bar.inert ||= bar.level < highest;
  }
  const isOpen = (bar: SeenBar): boolean => bar.hub === state.drawer && bar.face === "drawer" && !bar.inert;
  const drawer = state.drawer === null ? undefined : bars.find(isOpen);
  if (drawer) {
    for (const screen of screens) screen.inert = true;
    for (const bar of bars) bar.inert = bar !== drawer;
    drawer.open = true;
  }
  return { base, over, focus, top, overlay: builder.overlay, bars, screens, drawer: drawer?.hub ?? null, highest };
};
