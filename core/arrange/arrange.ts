import { bandsOf, edgeOf, ratioOf, restOf } from "../frame/defaults.js";
import { sizeOf } from "../frame/sizes.js";
import type { Frame, HubNode, Id, PairNode, SizeName } from "../frame/types.js";
import { bandAt, type View } from "../frame/view.js";
import type { State } from "../navigate/state.js";
import { type HubScene, type OverlayScene, type PairScene, type Scene, type ScreenScene, type SeenBar, type SeenHeader, type StackScene, type Surface, surfaceOf } from "../observe/surface.js";

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
  /** What is drawn there. */
  screen?: ScreenScene;
  header?: SeenHeader;
  bar?: SeenBar;
}

/** A region's place alone, as it is printed. */
export const plainRegion = ({ role, node, x, y, width, height }: Region) => ({ role, node, x, y, width, height });

interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** The most of the area that each takes, as a fraction of its width. */
const mostOf = { drawer: 0.82, sheet: 0.9, dialog: 0.88, side: 0.86 } as const;
const dialogHeight = 0.45;
const listWidth = { least: 280, most: 440 };

type Edge = "top" | "bottom" | "left" | "right";

const touches = (area: Box, view: View, edge: Edge): boolean => {
  switch (edge) {
    case "top":
      return area.y <= 0;
    case "bottom":
      return area.y + area.height >= view.height;
    case "left":
      return area.x <= 0;
    case "right":
      return area.x + area.width >= view.width;
  }
};

/** Cuts a strip of `size` px off one edge of an area, with the inset of the view's edge it lies at. Written out: it is most of an arrangement. */
const cut = (area: Box, view: View, edge: Edge, size: number): { strip: Box; rest: Box } => {
  const { x, y, width, height } = area;
  const wanted = size + (touches(area, view, edge) ? view.insets[edge] : 0);
  if (edge === "top" || edge === "bottom") {
    const taken = Math.min(wanted, height);
    const left = height - taken;
    return edge === "top"
      ? { strip: { x, y, width, height: taken }, rest: { x, y: y + taken, width, height: left } }
      : { strip: { x, y: y + left, width, height: taken }, rest: { x, y, width, height: left } };
  }
  const taken = Math.min(wanted, width);
  const left = width - taken;
  return edge === "left"
    ? { strip: { x, y, width: taken, height }, rest: { x: x + taken, y, width: left, height } }
    : { strip: { x: x + left, y, width: taken, height }, rest: { x, y, width: left, height } };
};

/** What of an area lies clear of the insets it touches. */
const clearOf = (area: Box, view: View): Box => {
  const { top, right, bottom, left } = view.insets;
  if (!top && !right && !bottom && !left) return area;
  let box = area;
  for (const edge of edges) if (touches(area, view, edge)) box = cut(box, view, edge, 0).rest;
  return box;
};
const edges: readonly Edge[] = ["top", "bottom", "left", "right"];

export interface ArrangeOptions {
  /** How high sheets stand that were dragged from their first resting height, by the key of their entry: fractions of what they cover. */
  heights?: ReadonlyMap<number, number>;
}

class Arrangement {
  readonly regions: Region[] = [];
  private readonly boxes = new Map<number, Box>();
  private readonly start: Edge;

  constructor(
    private readonly frame: Frame,
    private readonly view: View,
    private readonly options: ArrangeOptions,
  ) {
    this.start = view.rtl ? "right" : "left";
  }

  private put(role: Role, node: Id, key: number, { x, y, width, height }: Box, drawn?: Partial<Region>): void {
    this.regions.push({ role, node, x, y, width, height, key, ...drawn });
  }

  place(scene: Scene, area: Box): void {
    switch (scene.kind) {
      case "screen":
        return this.put("content", scene.entry.node, scene.entry.key, clearOf(area, this.view), { screen: scene });
      case "stack":
        return this.stack(scene, area);
      case "hub":
        return this.hub(scene, area);
      case "pair":
        return this.pair(scene, area);
    }
  }

  /** What shows in an area under a header strip, if there is one. */
  private under(header: SeenHeader | null, key: number, scene: Scene, area: Box): void {
    if (!header) return this.place(scene, area);
    const { strip, rest } = cut(area, this.view, "top", sizeOf(this.frame, "header"));
    this.place(scene, rest);
    this.put("header", header.by, key, strip, { header });
  }

  private stack({ entry, header, base, over }: StackScene, area: Box): void {
    this.boxes.set(entry.key, area);
    if (base) this.under(header, entry.key, base, area);
    for (const overlay of over) this.overlay(overlay, area);
  }

  private hub({ entry, bar, strip: own, header, child }: HubScene, area: Box): void {
    const floats = (this.frame.nodes[entry.node] as HubNode).floating === true;
    const around: [Role, Box, Partial<Region>][] = [];
    let rest = area;
    const take = (role: SizeName & Role, edge: Edge, over: boolean, drawn: Partial<Region>): void => {
      const taken = cut(rest, this.view, edge, sizeOf(this.frame, role));
      around.push([role, taken.strip, drawn]);
      if (!over) rest = taken.rest;
    };
    if (bar?.face === "rail" || bar?.face === "panel") take(bar.face, this.start, floats, { bar });
    if (own) take("header", "top", false, { header: own });
    if (bar?.face === "top") take("top", "top", floats, { bar });
    if (bar?.face === "bar") take("bar", "bottom", floats, { bar });
    this.under(header, entry.key, child, rest);
    for (const [role, box, drawn] of around.reverse()) this.put(role, entry.node, entry.key, box, drawn);
  }

  private pair({ entry, split, panes }: PairScene, area: Box): void {
    if (!split) {
      const [shown] = panes;
      return this.under(shown!.header, entry.key, shown!.child, area);
    }
    const node = this.frame.nodes[entry.node] as PairNode;
    const wanted = Math.min(listWidth.most, Math.max(listWidth.least, ratioOf(node) * area.width));
    const { strip: list, rest: detail } = cut(area, { ...this.view, insets: none }, this.start, Math.round(wanted));
    for (const [name, box] of [["list", list] as const, ["detail", detail] as const]) {
      const shown = panes.find(({ pane }) => pane === name);
      this.put(name, node[name]!, entry.key, box);
      if (shown) this.under(shown.header, entry.key, shown.child, box);
    }
  }

  /** An overlay over everything, or over its region alone. */
  overlay({ entry, opens, over, stack, header, child }: OverlayScene, region: Box): void {
    const { key } = stack;
    const area = over === "all" ? this.whole() : (this.boxes.get(key) ?? region);
    const box = this.overlayBox(entry, opens, area);
    if (opens !== "fullscreen") this.put("scrim", entry.node, entry.key, area);
    this.put(opens, entry.node, entry.key, box);
    this.under(header, key, child, box);
  }

  private overlayBox(entry: OverlayScene["entry"], opens: OverlayScene["opens"], area: Box): Box {
    if (opens === "fullscreen") return area;
    const node = this.frame.nodes[entry.node]!;
    const wide = Math.min(sizeOf(this.frame, opens), Math.round(mostOf[opens] * area.width));
    if (opens === "side") return { ...area, width: wide, x: this.sideX(area, wide, edgeOf(node)) };
    if (opens === "dialog") {
      const height = Math.round(dialogHeight * area.height);
      return centred(area, wide, height, Math.round((area.height - height) / 2));
    }
    const full = bandAt(this.frame, this.view.width) === bandsOf(this.frame)[0];
    const rest = this.options.heights?.get(entry.key) ?? restOf(node)[0]!;
    const height = Math.round(rest * area.height);
    return centred(area, full ? area.width : wide, height, area.height - height);
  }

  private sideX(area: Box, width: number, edge: "start" | "end"): number {
    return (edge === "start") === (this.start === "left") ? area.x : area.x + area.width - width;
  }

  drawer(bar: SeenBar): void {
    const { hub, key } = bar;
    const area = this.whole();
    const width = Math.min(sizeOf(this.frame, "drawer"), Math.round(mostOf.drawer * area.width));
    this.put("scrim", hub, key, area);
    this.put("drawer", hub, key, { ...area, width, x: this.sideX(area, width, "start") }, { bar });
  }

  whole(): Box {
    return { x: 0, y: 0, width: this.view.width, height: this.view.height };
  }
}

const none = { top: 0, right: 0, bottom: 0, left: 0 };

const centred = (area: Box, width: number, height: number, down: number): Box => ({
  x: area.x + Math.round((area.width - width) / 2),
  y: area.y + down,
  width,
  height,
});

/** The regions of what can be seen in a view, back to front: what shows, what its containers draw around that, what lies over it. */
export const arrangeSurface = (frame: Frame, surface: Surface, view: View, options: ArrangeOptions = {}): Region[] => {
  const arrangement = new Arrangement(frame, view, options);
  if (surface.base) arrangement.place(surface.base, arrangement.whole());
  for (const overlay of surface.over) arrangement.overlay(overlay, arrangement.whole());
  const open = surface.bars.find((bar) => bar.open);
  if (open) arrangement.drawer(open);
  return arrangement.regions;
};

/** The regions of what a state shows in a view, in CSS px, back to front. */
export const arrange = (frame: Frame, state: State, view: View, options: ArrangeOptions = {}): Region[] =>
  state.outside ? [] : arrangeSurface(frame, surfaceOf(frame, state, view), view, options);
