import { overOf } from "../frame/defaults.js";
import { faceOf, type ShownTabs, tabsOf } from "../frame/faces.js";
import { isLifted } from "../frame/opens.js";
import type { Face, Frame, HubNode, Id, Opens } from "../frame/types.js";
import type { View } from "../frame/view.js";
import { firstOverlay, focusPath, isSplit, type Lens, opensAt, shownInside, topOf } from "../navigate/focus.js";
import { fill } from "../frame/names.js";
import { type ContainerEntry, type Entry, type HubEntry, isHub, isPair, isStack, isStuck, type Pane, type PairEntry, type ScreenEntry, type StackEntry, type State } from "../navigate/state.js";

/** A hub's face as it can be seen. */
export interface SeenBar extends ShownTabs {
  hub: Id;
  /** The key of the hub's entry. */
  key: number;
  face: Face;
  active: Id;
  /** It lies under an overlay or beside an open drawer: nothing on it can be chosen. */
  inert: boolean;
  /** A drawer that is open. */
  open: boolean;
}

/** Whether a bar is seen: a drawer is while it is open. */
export const isBarInSight = ({ face, open }: Pick<SeenBar, "face" | "open">): boolean => face !== "drawer" || open;

/** A header strip. */
export interface SeenHeader {
  /** The container that draws it. */
  by: Id;
  title: string;
  /** It has a Back of its own. */
  back: boolean;
  /** It has the button of a drawer. */
  menu: boolean;
  /** It has a close in place of Back: it is the strip of an overlay. */
  close: boolean;
}

/** What an entry shows: a tree like the entries', without what cannot be seen. */
export type Scene = ScreenScene | StackScene | HubScene | PairScene;

export interface ScreenScene {
  kind: "screen";
  entry: ScreenEntry;
  inert: boolean;
  /** How many overlays over all lie beneath it. */
  level: number;
  /** The innermost strip over it: where its own header actions stand; null if there is none. */
  strip: SeenHeader | null;
}
export interface StackScene {
  kind: "stack";
  entry: StackEntry;
  /** The strip over the topmost pushed entry. */
  header: SeenHeader | null;
  /** The topmost pushed entry; null when a full screen covers it. */
  base: Scene | null;
  /** The overlays that cover this stack's region alone, lowest first. */
  over: OverlayScene[];
}
export interface HubScene {
  kind: "hub";
  entry: HubEntry;
  bar: (SeenBar & { level: number }) | null;
  /** The hub's own strip, outside what shows in it. */
  strip: SeenHeader | null;
  header: SeenHeader | null;
  child: Scene;
}
export interface PaneScene {
  pane: Pane;
  header: SeenHeader | null;
  child: Scene;
}
/** Both panes of a pair that is split; the list alone when there is no detail; else the one that shows. */
export interface PairScene {
  kind: "pair";
  entry: PairEntry;
  split: boolean;
  panes: PaneScene[];
}
export interface OverlayScene {
  entry: Entry;
  opens: Exclude<Opens, "push">;
  over: "all" | "region";
  /** The stack that shows it. */
  stack: StackEntry;
  header: SeenHeader | null;
  child: Scene;
}

/** Everything that can be seen: the one source of bars, headers and screens, for snapshots and for the arrangement. */
export interface Surface {
  /** Null when a full screen covers all of it. */
  base: Scene | null;
  /** The overlays over everything, lowest first. */
  over: OverlayScene[];
  focus: readonly Entry[];
  /** The top screen; null while nothing may be shown. */
  top: ScreenEntry | null;
  /** The top overlay, if there is one. */
  overlay: { node: Id; opens: Exclude<Opens, "push"> } | null;
  /** The faces that can be seen, outermost first. */
  bars: SeenBar[];
  /** The strips over the top screen, outermost first. */
  headers: SeenHeader[];
  /** The screens that can be seen, back to front. */
  screens: ScreenScene[];
  /** The hub whose drawer is open in this view. */
  drawer: Id | null;
}

/** What is known of the place of an entry from what is around it. */
interface Around {
  depth: number;
  focused: boolean;
  /** Inside a sheet, dialog or side. */
  narrow: boolean;
  /** Under an overlay over its region. */
  inert: boolean;
  /** Something lies beneath, through nested stacks and pairs, up to the nearest hub. */
  beneath: boolean;
  /** The next strip is the first one of an overlay's lowest entry. */
  closes: boolean;
  /** The nearest hub shows as a drawer and draws no strip that could open it. */
  menu: boolean;
  /** The innermost strip so far. */
  strip: SeenHeader | null;
}

const hasHeader = (lens: Lens, child: Entry, opens: Opens): boolean => {
  const node = lens.frame.nodes[child.node]!;
  if (node.header) return node.header === "on";
  return node.kind === "screen" && !isLifted(opens);
};

const titleOf = (lens: Lens, child: Entry, isTab = false): string => {
  const { title, tab } = lens.frame.nodes[child.node]!;
  const text = (isTab ? (tab?.label ?? title) : (title ?? tab?.label)) ?? child.node;
  return text.includes("{") ? fill(text, topOf(lens, child).params) : text;
};

/** Whether the topmost pushed entry in here asks for the bars around it to go. */
const hidesBars = (lens: Lens, entry: Entry, narrow: boolean): boolean => {
  if (lens.frame.nodes[entry.node]!.bars === "hide") return true;
  if (isStack(entry)) return hidesBars(lens, entry.inside.entries[firstOverlay(lens, entry) - 1]!, narrow);
  if (!entry.inside || (isPair(entry) && isSplit(lens, entry, narrow))) return false;
  return hidesBars(lens, shownInside(lens, entry as ContainerEntry, narrow), narrow);
};

/** Builds the scene of a state, and gathers on the way what lies over everything. */
class SceneBuilder {
  over: OverlayScene[] = [];
  headers: SeenHeader[] = [];
  overlay: Surface["overlay"] = null;

  constructor(
    readonly lens: Lens,
    readonly facts: State["facts"],
    readonly focus: readonly Entry[],
  ) {}

  /** What is around a child of what this is around: whether it is on the focus path too. Written out, as it is made often. */
  private inside(around: Around, child: Entry): Around {
    const depth = around.depth + 1;
    return {
      depth,
      focused: around.focused && this.focus[depth] === child,
      narrow: around.narrow,
      inert: around.inert,
      beneath: around.beneath,
      closes: around.closes,
      menu: around.menu,
      strip: around.strip,
    };
  }

  /** A strip over a child, which is then the innermost one in there. */
  private draw(by: Entry, child: Entry, place: Around, isTab = false): SeenHeader {
    const { closes, beneath, menu } = place;
    const header = {
      by: by.node,
      title: titleOf(this.lens, child, isTab),
      back: !closes && beneath,
      menu: !closes && !beneath && menu,
      close: closes,
    };
    if (place.focused) this.headers.push(header);
    place.closes = false;
    place.strip = header;
    return header;
  }

  scene(entry: Entry, around: Around): Scene {
    if (isStack(entry)) return this.stack(entry, around);
    if (isHub(entry)) return this.hub(entry, around);
    if (isPair(entry)) return this.pair(entry, around);
    return {
      kind: "screen",
      entry: entry as ScreenEntry,
      inert: around.inert,
      level: this.over.length,
      strip: around.strip,
    };
  }

  private stack(entry: StackEntry, around: Around): StackScene {
    const { lens } = this;
    const { entries } = entry.inside;
    const { nodes } = lens.frame;
    const first = firstOverlay(lens, entry);
    // an overlay over its region that lies on one over all has to lie above that
    const lifted = entries.findIndex((each, i) => i >= first && overOf(nodes[each.node]!) === "all");
    const isLocal = (i: number): boolean => lifted < 0 || i < lifted;
    const isFull = (i: number): boolean => opensAt(lens, entry, i) === "fullscreen";
    const last = lifted < 0 ? entries.length : lifted;
    let lowest = first - 1;
    for (let i = last - 1; i >= first; i -= 1)
      if (isFull(i)) {
        lowest = i;
        break;
      }
    const scene: StackScene = { kind: "stack", entry, header: null, base: null, over: [] };
    if (lowest < first) {
      const base = entries[first - 1]!;
      const place = this.inside(around, base);
      place.inert ||= last > first;
      place.beneath ||= first > 1;
      place.closes &&= first === 1;
      if (hasHeader(lens, base, "push")) scene.header = this.draw(entry, base, place);
      scene.base = this.scene(base, place);
    }
    for (let i = Math.max(first, lowest); i < entries.length; i += 1) {
      const each = entries[i]!;
      const opens = opensAt(lens, entry, i) as OverlayScene["opens"];
      const over = overOf(nodes[each.node]!);
      const place = this.inside(around, each);
      place.narrow ||= isLifted(opens);
      place.inert = isLocal(i) && (around.inert || i < last - 1);
      place.beneath = true;
      place.closes = true;
      place.strip = null;
      if (place.focused && over === "all") this.headers.length = 0;
      const header = hasHeader(lens, each, opens) ? this.draw(entry, each, place) : null;
      const made = { entry: each, opens, over, stack: entry, header } as OverlayScene;
      if (place.focused) this.overlay = { node: each.node, opens };
      if (isLocal(i)) scene.over.push(made);
      else this.over.push(made);
      made.child = this.scene(each, place);
    }
    return scene;
  }

  private hub(entry: HubEntry, around: Around): HubScene {
    const { lens } = this;
    const { active, tabs } = entry.inside;
    const child = tabs[active]!;
    const hub = lens.frame.nodes[entry.node] as HubNode;
    const face = faceOf(lens.frame, hub, lens.view);
    const isHidden = (face === "bar" || face === "top") && hidesBars(lens, child, around.narrow);
    const bar = face === null || isHidden ? null : this.bar(entry, hub, face, around.inert);
    // what lies beneath a drawer's hub gives way to its button
    const own = { ...around, menu: face === "drawer", beneath: around.beneath && face !== "drawer" };
    const drawn = hub.strip ? this.draw(entry, child, own, true) : null;
    const place = this.inside(around, child);
    place.beneath = false;
    place.menu = face === "drawer" && !hub.strip;
    place.closes &&= !hub.strip;
    place.strip = drawn ?? around.strip;
    const header = !child.inside && hasHeader(lens, child, "push") ? this.draw(entry, child, place) : null;
    return { kind: "hub", entry, bar, strip: drawn, header, child: this.scene(child, place) };
  }

  private bar(entry: HubEntry, hub: HubNode, face: Face, inert: boolean): HubScene["bar"] {
    const { frame, view } = this.lens;
    const { tabs, more } = tabsOf(frame, hub, face, view, this.facts);
    const { active } = entry.inside;
    const level = this.over.length;
    return { hub: entry.node, key: entry.key, face, active, tabs, more, inert, open: false, level };
  }

  private pair(entry: PairEntry, around: Around): PairScene {
    const { lens } = this;
    const { list, detail } = entry.inside;
    const split = isSplit(lens, entry, around.narrow);
    const shown = split ? null : shownInside(lens, entry, around.narrow);
    const pane = (name: Pane, child: Entry): PaneScene => {
      const alone = !split && name === "detail";
      const place = this.inside(around, child);
      place.beneath ||= alone;
      place.menu &&= !split || name === "list";
      place.closes &&= !alone;
      const header = !child.inside && hasHeader(lens, child, "push") ? this.draw(entry, child, place) : null;
      return { pane: name, header, child: this.scene(child, place) };
    };
    if (!detail) return { kind: "pair", entry, split, panes: [pane("list", list)] };
    if (!split)
      return { kind: "pair", entry, split, panes: [shown === list ? pane("list", list) : pane("detail", detail)] };
    // the pane that is followed comes last, so that an overlay of its own lies above those of the other
    if (shownInside(lens, entry, around.narrow) === list) {
      const other = pane("detail", detail);
      return { kind: "pair", entry, split, panes: [pane("list", list), other] };
    }
    return { kind: "pair", entry, split, panes: [pane("list", list), pane("detail", detail)] };
  }
}

const eachSeen = (scene: Scene, screens: ScreenScene[], bars: (SeenBar & { level: number })[]): void => {
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

const outermost: Around = {
  depth: 0,
  focused: true,
  narrow: false,
  inert: false,
  beneath: false,
  closes: false,
  menu: false,
  strip: null,
};

/** What can be seen where nothing may be shown. */
const nothing: Surface = {
  base: null,
  over: [],
  focus: [],
  top: null,
  overlay: null,
  bars: [],
  headers: [],
  screens: [],
  drawer: null,
};

export const surfaceOf = (frame: Frame, state: State, view: View): Surface => {
  const lens = { frame, view };
  const focus = focusPath(lens, state.root);
  if (isStuck(state)) return { ...nothing, focus };
  const builder = new SceneBuilder(lens, state.facts, focus);
  const root = builder.scene(state.root, outermost);
  const full = builder.over.findLastIndex((overlay) => overlay.opens === "fullscreen" && overlay.over === "all");
  const base = full < 0 ? root : null;
  const over = full < 0 ? builder.over : builder.over.slice(full);
  const highest = builder.over.length;

  const bars: (SeenBar & { level: number })[] = [];
  const screens: ScreenScene[] = [];
  if (base) eachSeen(base, screens, bars);
  for (const overlay of over) eachSeen(overlay.child, screens, bars);
  if (highest > 0) {
    for (const screen of screens) screen.inert ||= screen.level < highest;
    for (const bar of bars) bar.inert ||= bar.level < highest;
  }
  const drawer =
    state.drawer === null
      ? null
      : (bars.find((bar) => bar.hub === state.drawer && bar.face === "drawer" && !bar.inert) ?? null);
  if (drawer) {
    for (const screen of screens) screen.inert = true;
    for (const bar of bars) bar.inert = bar !== drawer;
    drawer.open = true;
  }
  return {
    base,
    over,
    focus,
    top: focus.at(-1) as ScreenEntry,
    overlay: builder.overlay,
    bars,
    headers: builder.headers,
    screens,
    drawer: drawer?.hub ?? null,
  };
};
