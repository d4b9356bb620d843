import { bandsOf } from "../frame/defaults.js";
import { type Lens, lensOf } from "../frame/look.js";
import { pairAt } from "../frame/nodes.js";
import type { Id, SizeName } from "../frame/parts.js";
import { sizeOf } from "../frame/sizes.js";
import { firstOf } from "../frame/sure.js";
import type { FixedFrame } from "../frame/types.js";
import { bandAt, type View } from "../frame/view.js";
import { paneId } from "../navigate/make.js";
import type { HubScene, OverlayScene, PairScene, Scene, SeenBar, StackScene } from "../navigate/sight.js";
import type { ScreenEntry, State } from "../navigate/state.js";
import { type SeenHeader, type Surface, surfaceOf } from "../observe/surface.js";
import { type Box, clearOf, cut, type Edge, insetAt, isWithin, movedInto, overlap, sidesOf } from "./box.js";

/** What a region is. */
export type Role =
  | "content"
  | "header"
  | "bar"
  | "top"
  | "rail"
  | "panel"
  | "drawer"
  | "sheet"
  | "dialog"
  | "side"
  | "fullscreen"
  | "scrim"
  | "list"
  | "detail";

/** A screen as it is drawn in a region. */
export interface DrawnScreen {
  entry: ScreenEntry;
  /** The innermost strip over it: where its own header actions stand; null if there is none. */
  strip: SeenHeader | null;
}

/** A rectangle of a view, in CSS px from its top left corner, and whose it is. */
export interface Region {
  role: Role;
  node: Id;
  x: number;
  y: number;
  width: number;
  height: number;
  /** The key of the entry it belongs to: a screen's own for `content`, an overlay's for it and its scrim, else that of the container. */
  key: number;
  /** The key of the innermost entry that it moves with: what is in there moves as that does. */
  layer: number;
  /** The key of the innermost overlay that it is, or is in; null for what lies beneath all of them. */
  overlay: number | null;
  /** An event cannot touch it: it lies under an overlay, or beside an open drawer. */
  inert: boolean;
  /** What is drawn there. */
  screen?: DrawnScreen;
  header?: SeenHeader;
  bar?: SeenBar;
  /** A pane's pair, and whether nothing is in the pane. */
  pane?: { pair: Id; isEmpty: boolean };
}

/** A region's place alone, as it is printed. */
export const plainRegion = ({
  role,
  node,
  x,
  y,
  width,
  height,
}: Region): Pick<Region, "role" | "node" | keyof Box> => ({ role, node, x, y, width, height });

/** The most of the area that each takes, as a fraction of its width. */
const mostOf = { drawer: 0.82, sheet: 0.9, dialog: 0.88, side: 0.86 } as const;
const dialogHeight = 0.45;
const listWidth = { least: 280, most: 440 };
/** A sheet or side panel is never smaller, px, what the device covers of it left aside. */
const leastOverlay = 60;

/** What a device knows of its own that the state does not. */
export interface ArrangeOptions {
  /** How high sheets stand that were dragged from their first resting height, by the key of their entry: fractions of what they cover. */
  heights?: ReadonlyMap<number, number>;
}

type Drawn = Pick<Region, "screen" | "header" | "bar" | "pane">;

/** A view as it is arranged: its regions, back to front, and where each entry that shows has its room, by key. */
export interface Arranged {
  regions: Region[];
  areas: ReadonlyMap<number, Box>;
  /** The overlays over all, by key: what is in one of them lies above everything that is not. */
  overAll: ReadonlySet<number>;
}

class Arrangement implements Arranged {
  readonly regions: Region[] = [];
  readonly areas = new Map<number, Box>();
  readonly overAll = new Set<number>();
  /** What a stack lays its screens and overlays in, by key. */
  private readonly inner = new Map<number, Box>();
  private readonly start: Edge;
  /** The view, without what the device covers where the top screen hides that. */
  private readonly view: View;
  /** The overlay that is being arranged. */
  private overlay: number | null = null;

  constructor(
    private readonly lens: Lens,
    private readonly surface: Surface,
    private readonly options: ArrangeOptions,
  ) {
    this.start = lens.view.rtl ? "right" : "left";
    this.view = lens.view.insets === surface.insets ? lens.view : { ...lens.view, insets: surface.insets };
  }

  private put(role: Role, node: Id, key: number, layer: number, inert: boolean, box: Box, drawn?: Drawn): void {
    const { x, y, width, height } = box;
    const { overlay } = this;
    const region: Region = { role, node, x, y, width, height, key, layer, overlay, inert };
    if (drawn?.screen) region.screen = drawn.screen;
    if (drawn?.header) region.header = drawn.header;
    if (drawn?.bar) region.bar = drawn.bar;
    if (drawn?.pane) region.pane = drawn.pane;
    this.regions.push(region);
  }

  /** Whether something cannot be touched, by how it lies to the overlays and to an open drawer. */
  private isInert({ inert, level }: { inert: boolean; level: number }): boolean {
    return inert || level < this.surface.highest || this.surface.drawer !== null;
  }

  private cut(area: Box, edge: Edge, name: SizeName): { strip: Box; rest: Box } {
    return cut(area, this.view, edge, sizeOf(this.lens.app.theme, name));
  }

  place(scene: Scene, area: Box): void {
    if (!this.areas.has(scene.entry.key)) this.areas.set(scene.entry.key, area);
    switch (scene.kind) {
      case "screen": {
        const { entry, inert } = scene;
        const screen = { entry, strip: this.surface.strips.nearest.get(entry.key) ?? null };
        return this.put("content", entry.node, entry.key, entry.key, inert, clearOf(area, this.view), { screen });
      }
      case "stack":
        return this.stack(scene, area);
      case "hub":
        return this.hub(scene, area);
      case "pair":
        return this.pair(scene, area);
    }
  }

  /** What shows in an area of a container, under a header strip if there is one. */
  private under(key: number, scene: Scene, area: Box): void {
    this.areas.set(scene.entry.key, area);
    const header = this.surface.strips.over.get(scene.entry.key);
    if (!header) return this.place(scene, area);
    const { strip, rest } = this.cut(area, "top", "header");
    this.place(scene, rest);
    this.put("header", header.by, key, scene.entry.key, this.isInert(scene), strip, { header });
  }

  private stack({ entry, base, over }: StackScene, area: Box): void {
    this.inner.set(entry.key, area);
    if (base) this.under(entry.key, base, area);
    for (const overlay of over) this.lay(overlay, area);
  }

  private hub(scene: HubScene, area: Box): void {
    const { entry, bar, child } = scene;
    const { key, node } = entry;
    const { floating, faceEdge } = this.lens.look(node);
    const around: (() => void)[] = [];
    let rest = area;
    const take = (role: SizeName & Role, edge: Edge, isOver: boolean, inert: boolean, drawn: Drawn): void => {
      const taken = this.cut(rest, edge, role);
      around.push(() => this.put(role, node, key, key, inert, taken.strip, drawn));
      if (!isOver) rest = taken.rest;
    };
    if (bar?.face === "rail" || bar?.face === "panel")
      take(bar.face, this.edgeOf(faceEdge), floating, bar.inert, { bar });
    const own = this.surface.strips.own.get(key);
    if (own) take("header", "top", false, this.isInert(scene), { header: own });
    if (bar?.face === "top") take("top", "top", floating, bar.inert, { bar });
    if (bar?.face === "bar") take("bar", "bottom", floating, bar.inert, { bar });
    this.under(key, child, rest);
    for (const put of around.reverse()) put();
  }

  private pair(scene: PairScene, area: Box): void {
    const { entry, split, panes } = scene;
    if (!split) return this.under(entry.key, firstOf(panes).child, area);
    const node = pairAt(this.lens.frame, entry.node);
    const [list, detail] = this.panesOf(entry.node, area);
    for (const [name, box] of [["list", list] as const, ["detail", detail] as const]) {
      const shown = panes.find(({ pane }) => pane === name);
      const layer = shown?.child.entry.key ?? entry.key;
      const pane = { pair: entry.node, isEmpty: !shown };
      this.put(name, paneId(node, name), entry.key, layer, this.isInert(scene), box, { pane });
      if (shown) this.under(entry.key, shown.child, box);
    }
  }

  /** Where the list and the detail of a split pair lie: on both sides of a hinge that parts them, else by the pair's ratio. */
  private panesOf(pair: Id, area: Box): [Box, Box] {
    const sides = this.sides(area);
    if (sides) return sides;
    const { ratio } = this.lens.look(pair);
    const wanted = Math.round(Math.min(listWidth.most, Math.max(listWidth.least, ratio * area.width)));
    const inset = insetAt(area, this.view, this.start);
    const { strip, rest } = cut(area, this.view, this.start, Math.max(0, wanted - inset));
    return [strip, rest];
  }

  /** The two sides that an upright hinge parts an area in, the start side first; null where none crosses it. */
  private sides(area: Box): [Box, Box] | null {
    const sides = sidesOf(area, this.view);
    return sides && (this.start === "left" ? sides : [sides[1], sides[0]]);
  }

  /** An overlay over everything, or over its region alone. */
  lay(scene: OverlayScene, region: Box): void {
    const { entry, opens, over, stack, child } = scene;
    const area = over === "all" ? this.whole() : (this.inner.get(stack.key) ?? region);
    const box = this.overlayBox(entry, opens, area);
    const outer = this.overlay;
    this.overlay = entry.key;
    const inert = this.isInert(scene);
    if (opens !== "fullscreen") this.put("scrim", entry.node, entry.key, entry.key, inert, area);
    this.put(opens, entry.node, entry.key, entry.key, inert, box);
    this.under(stack.key, child, box);
    this.overlay = outer;
  }

  private overlayBox(entry: OverlayScene["entry"], opens: OverlayScene["opens"], area: Box): Box {
    if (opens === "fullscreen") return area;
    const { frame, view, look, app } = this.lens;
    const { edge, rest } = look(entry.node);
    const wide = Math.min(sizeOf(app.theme, opens), Math.round(mostOf[opens] * area.width));
    if (opens === "side") {
      const least = leastOverlay + insetAt(area, this.view, this.edgeOf(edge));
      const width = Math.min(area.width, Math.max(least, wide));
      return { ...area, width, x: this.sideX(area, width, edge) };
    }
    if (opens === "dialog") {
      const height = Math.round(dialogHeight * area.height);
      const box = this.centred(area, wide, height, area.y + Math.round((area.height - height) / 2));
      const side = this.sideOf(box, area);
      return movedInto(side ? this.centred(side, wide, height, box.y) : box, clearOf(side ?? area, this.view));
    }
    const full = bandAt(frame, view.width) === bandsOf(frame)[0];
    const least = leastOverlay + insetAt(area, this.view, "bottom");
    const wanted = Math.round((this.options.heights?.get(entry.key) ?? firstOf(rest)) * area.height);
    const height = Math.min(area.height, Math.max(least, wanted));
    const box = this.centred(area, full ? area.width : wide, height, area.y + area.height - height);
    const side = this.sideOf(box, area);
    return side ? this.centred(side, Math.min(box.width, side.width), height, box.y) : box;
  }

  /** The side of a hinge that a box which lies across it moves to: where more of it was, the start side if that is equal; null where it lies across none. */
  private sideOf(box: Box, area: Box): Box | null {
    const sides = this.sides(area);
    if (!sides || sides.some((side) => isWithin(box, side))) return null;
    return overlap(box, sides[1]) > overlap(box, sides[0]) ? sides[1] : sides[0];
  }

  /** A box in the middle of an area's width; right to left it is the mirror image, to the px. */
  private centred(area: Box, width: number, height: number, y: number): Box {
    const beside = Math.round((area.width - width) / 2);
    const x = this.start === "left" ? area.x + beside : area.x + area.width - width - beside;
    return { x, y, width, height };
  }

  private edgeOf(edge: "start" | "end"): Edge {
    return (edge === "start") === (this.start === "left") ? "left" : "right";
  }

  private sideX(area: Box, width: number, edge: "start" | "end"): number {
    return this.edgeOf(edge) === "left" ? area.x : area.x + area.width - width;
  }

  drawer(bar: SeenBar): void {
    const { hub, key } = bar;
    const area = this.whole();
    const width = Math.min(sizeOf(this.lens.app.theme, "drawer"), Math.round(mostOf.drawer * area.width));
    this.put("scrim", hub, key, key, bar.inert, area);
    this.put(
      "drawer",
      hub,
      key,
      key,
      bar.inert,
      { ...area, width, x: this.sideX(area, width, this.lens.look(hub).faceEdge) },
      { bar },
    );
  }

  whole(): Box {
    return { x: 0, y: 0, width: this.lens.view.width, height: this.lens.view.height };
  }
}

/** The regions of what can be seen in a view, back to front: what shows, what its containers draw around that, what lies over it. */
export const arranged = (frame: FixedFrame, surface: Surface, view: View, options: ArrangeOptions = {}): Arranged => {
  const arrangement = new Arrangement(lensOf(frame, view), surface, options);
  if (surface.base) arrangement.place(surface.base, arrangement.whole());
  for (const overlay of surface.over) {
    arrangement.overAll.add(overlay.entry.key);
    arrangement.lay(overlay, arrangement.whole());
  }
  const open = surface.bars.find((bar) => bar.open);
  if (open) arrangement.drawer(open);
  return arrangement;
};

/** The same regions alone. */
export const arrangeSurface = (
  frame: FixedFrame,
  surface: Surface,
  view: View,
  options: ArrangeOptions = {},
): Region[] => arranged(frame, surface, view, options).regions;

/** The regions of what a state shows in a view, in CSS px, back to front. */
export const arrange = (frame: FixedFrame, state: State, view: View, options: ArrangeOptions = {}): Region[] =>
  state.outside ? [] : arrangeSurface(frame, surfaceOf(frame, state, view), view, options);
