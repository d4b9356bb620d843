import { childrenOf, startOf } from "../frame/defaults.js";
import { indexOf } from "../frame/frame-index.js";
import { opensOf } from "../frame/opens.js";
import type { Frame, Id, Node, NodeKind } from "../frame/types.js";
import type { View } from "../frame/view.js";
import { type Stepped, stepsOf } from "./steps.js";

/** The measures of a plan, px. */
export interface PlanSizes {
  /** Taps further in than this go in no further: a long chain must not push everything else out of sight. */
  mostSteps: number;
  card: { width: number; height: number };
  /** A card without its picture. */
  row: { width: number; height: number };
  /** How far one tap goes in. */
  step: number;
  gap: number;
  pad: number;
  /** The strip with a plate's name. */
  head: number;
  /** A hub's comb tooth. */
  tooth: number;
  /** The strip with the name of what lies over the rest of a stack, and the name under each card there. */
  caption: number;
  /** Between the panes of a pair. */
  gutter: number;
}

export const planSizes: PlanSizes = {
  card: { width: 96, height: 134 },
  row: { width: 148, height: 26 },
  step: 22,
  mostSteps: 6,
  gap: 10,
  pad: 10,
  head: 30,
  tooth: 34,
  caption: 22,
  gutter: 18,
};

/** A rectangle of the plan, px. */
export interface Placed {
  id: Id;
  /** The container it stands in here; null for the root and for what is loose. */
  parent: Id | null;
  x: number;
  y: number;
  width: number;
  height: number;
}

/** A container. A `column` is the container of a tab, drawn as what hangs under its tooth. */
export interface Plate extends Placed {
  kind: Exclude<NodeKind, "screen">;
  depth: number;
  column: boolean;
}

/** A screen in one of its places. */
export interface Card extends Placed {
  /** A card with a picture, or a row with the title alone. */
  picture: boolean;
  taps: number;
  under: Id | null;
  /** It stands on a strip of what lies over the rest of its stack. */
  covers: boolean;
}

/** A hub's comb tooth, over the tab that hangs from it. */
export interface Tooth extends Placed {
  hub: Id;
}

/** The name of a pair's pane, over what stands in it. */
export interface PaneHead extends Placed {
  pair: Id;
  pane: "list" | "detail";
}

/** The strip on which lies what covers the rest of its stack: overlays, and screens pushed over a container. */
export interface CoverStrip extends Placed {
  stack: Id;
  /** What lies on it, in the order it is drawn. */
  holds: readonly Id[];
  depth: number;
}

export interface PlanLayout {
  width: number;
  height: number;
  plates: Plate[];
  cards: Card[];
  teeth: Tooth[];
  covers: CoverStrip[];
  panes: PaneHead[];
  /** Where the loose nodes lie; null if there are none. */
  tray: { x: number; y: number; width: number; height: number } | null;
}

interface HangingTooth {
  id: Id;
  x: number;
  width: number;
}

/** Shared by the many plates without teeth. */
const nothing: never[] = [];

/**
 * What is measured: first with its place in what it stands in, then on the plan. A screen's box is its card in the end;
 * classes, so that all have one shape: there are many of them.
 */
class CardBox implements Card {
  x = 0;
  y = 0;
  taps = 0;
  under: Id | null = null;
  covers = false;

  constructor(
    readonly id: Id,
    readonly parent: Id | null,
    public width: number,
    public height: number,
    readonly picture: boolean,
  ) {}
}

class PlateBox {
  x = 0;
  y = 0;
  width = 0;
  height = 0;
  inner: (CardBox | PlateBox)[] = [];
  teeth: HangingTooth[] = nothing;

  constructor(
    readonly id: Id,
    readonly parent: Id | null,
    readonly kind: Plate["kind"] | "covers",
    readonly column = false,
  ) {}
}

type Box = CardBox | PlateBox;

export interface PlanOptions {
  sizes?: PlanSizes;
  /** Added to the width of each tab of a hub that is itself no tab, px: spreads the plan over room that is left. */
  spread?: number;
  /** Which screens show their picture; default all. */
  pictured?: (id: Id) => boolean;
  /** What is an overlay depends on it; default: what says so for all views. */
  view?: View;
}

const measured = (frame: Frame, options: PlanOptions) => {
  const sizes = options.sizes ?? planSizes;
  const { gap, pad, head, tooth, step, mostSteps, caption, gutter } = sizes;
  const { view } = options;
  const isOverlay = (node: Node): boolean => {
    if (!view) return (node.opens ?? "push") !== "push";
    if (!node.opens && !node.opensIn && !node.opensOn) return false;
    return opensOf(frame, node, view) !== "push";
  };
  const pictured = options.pictured ?? (() => true);
  const spread = options.spread ?? 0;

  const card = (id: Id, parent: Id | null): CardBox => {
    const picture = pictured(id);
    const { width, height } = picture ? sizes.card : sizes.row;
    return new CardBox(id, parent, width, height, picture);
  };
  const hung = (id: Id, parent: Id | null, { taps, under }: Stepped): CardBox => {
    const made = card(id, parent);
    made.taps = taps;
    made.under = under;
    return made;
  };

  /**
   * A strip with what lies over the rest of a stack, each thing with its name under it: in rows that wrap where `wraps`
   * says, or in columns as high as `room`.
   */
  const stripOf = (
    stack: Id,
    over: readonly Stepped[],
    wraps: ((x: number, width: number) => boolean) | null,
    room = Infinity,
  ): PlateBox => {
    const strip = new PlateBox(stack, stack, "covers");
    let x = pad;
    let y = caption;
    let [wide, tall, right, foot] = [0, 0, 0, 0];
    for (const each of over) {
      const inner = frame.nodes[each.id]!.kind === "screen" ? hung(each.id, stack, each) : box(each.id, stack);
      const height = inner.height + (inner instanceof CardBox && inner.picture ? caption - 4 : 0);
      if (inner instanceof CardBox) inner.covers = true;
      if (wraps && x > pad && wraps(x, inner.width)) [x, y, tall] = [pad, y + tall + gap, 0];
      if (!wraps && y > caption && y + height + pad > room) [x, y, wide] = [x + wide + gap, caption, 0];
      inner.x = x;
      inner.y = y;
      strip.inner.push(inner);
      wide = Math.max(wide, inner.width);
      tall = Math.max(tall, height);
      right = Math.max(right, x + inner.width);
      foot = Math.max(foot, y + height);
      if (wraps) x += inner.width + gap;
      else y += height + gap;
    }
    strip.width = right + pad;
    strip.height = foot + pad / 2;
    return strip;
  };

  const box = (id: Id, parent: Id | null, column = false): Box => {
    const node = frame.nodes[id]!;
    if (node.kind === "screen") return card(id, parent);
    const made = new PlateBox(id, parent, node.kind, column);
    const top = column ? pad : head + pad;
    if (node.kind === "hub") {
      made.teeth = [];
      let x = column ? 0 : pad;
      let bottom = 0;
      for (const child of node.children) {
        const inner = box(child, id, true);
        const leaf = inner instanceof CardBox;
        const width = Math.max(inner.width + (leaf ? 2 * pad : 0), sizes.card.width + 2 * pad) + (column ? 0 : spread);
        inner.x = x + (leaf ? pad : 0);
        inner.y = head + tooth + (leaf ? pad : 0);
        if (!leaf) inner.width = width;
        made.teeth.push({ id: child, x, width });
        made.inner.push(inner);
        x += width + gap / 2;
        bottom = Math.max(bottom, inner.y + inner.height);
      }
      made.width = Math.max(x - gap / 2 + (column ? 0 : pad), 2 * sizes.card.width);
      made.height = Math.max(bottom, head + tooth) + pad;
      return made;
    }
    if (node.kind === "pair") {
      let x = pad;
      let bottom = 0;
      const up = column ? 0 : head;
      for (const child of childrenOf(node)) {
        const inner = box(child, id, true);
        const leaf = inner instanceof CardBox;
        const width = Math.max(inner.width + (leaf ? 2 * pad : 0), sizes.card.width + 2 * pad);
        inner.x = x + (leaf ? pad : 0);
        inner.y = up + caption + (leaf ? pad : 0);
        if (!leaf) inner.width = width;
        made.teeth = [...made.teeth, { id: child, x, width }];
        made.inner.push(inner);
        x += width + gutter;
        bottom = Math.max(bottom, inner.y + inner.height);
      }
      made.width = Math.max(x - gutter + pad, 2 * sizes.card.width);
      made.height = Math.max(bottom, up + caption) + pad;
      return made;
    }
    const all = stepsOf(frame, node);
    const start = startOf(node);
    const lies = (child: Stepped): boolean => child.id !== start && isOverlay(frame.nodes[child.id]!);
    const lifted = all.some(lies) ? all.filter(lies) : nothing;
    const stepped = lifted.length ? all.filter((child) => !lies(child)) : all;
    const firstContainer = stepped.findIndex((child) => frame.nodes[child.id]!.kind !== "screen");
    const columnOf = (list: typeof stepped, x: number): { width: number; bottom: number } => {
      let y = top;
      let width = 0;
      for (const each of list) {
        const inner = hung(each.id, id, each);
        const indent = Math.min(each.taps, mostSteps) * step;
        inner.x = x + indent;
        inner.y = y;
        made.inner.push(inner);
        y += inner.height + gap;
        width = Math.max(width, indent + inner.width);
      }
      return { width, bottom: y };
    };
    if (firstContainer < 0) {
      const { width, bottom } = columnOf(stepped, pad);
      const wide = Math.max(width, sizes.card.width);
      made.width = wide + 2 * pad;
      made.height = Math.max(bottom - gap, top) + pad;
      if (lifted.length === 0) return made;
      // in a column the strip stands at the foot, as wide as the column has room
      const strip = stripOf(id, lifted, (x, width) => x + width > Math.max(wide, 2 * sizes.card.width + gap));
      strip.x = pad / 2;
      strip.y = bottom;
      strip.width = Math.max(strip.width, wide + pad);
      made.inner.push(strip);
      made.width = Math.max(made.width, strip.width + pad);
      made.height = strip.y + strip.height + pad;
      return made;
    }
    // a stack with containers: what comes before them, the containers side by side, what lies over them
    const before = stepped.slice(0, firstContainer);
    const containers = stepped.slice(firstContainer).filter((child) => frame.nodes[child.id]!.kind !== "screen");
    const over = [
      ...stepped.slice(firstContainer).filter((child) => frame.nodes[child.id]!.kind === "screen"),
      ...lifted,
    ];
    let x = pad;
    let bottom = top;
    if (before.length) {
      const column = columnOf(
        before.map((child) => ({ ...child, taps: 0 })),
        x,
      );
      x += column.width + gap;
      bottom = column.bottom - gap;
    }
    for (const { id: child } of containers) {
      const inner = box(child, id);
      inner.x = x;
      inner.y = top;
      made.inner.push(inner);
      x += inner.width + gap;
      bottom = Math.max(bottom, top + inner.height);
    }
    if (over.length) {
      const room = Math.max(bottom - top, 0);
      const strip = stripOf(id, over, null, room);
      strip.x = x;
      strip.y = top;
      made.inner.push(strip);
      x += strip.width + gap;
      bottom = Math.max(bottom, top + strip.height);
    }
    made.width = x - gap + pad;
    made.height = bottom + pad;
    return made;
  };
  return box;
};

/**
 * The plan of a frame: plates inside plates, a hub's tabs side by side under its comb, a stack's screens one step in
 * and down for each tap from its start, what lies over them on a strip, a pair's panes with a gutter between, loose nodes in a tray at the foot. Deterministic; two passes, linear.
 */
export const planLayout = (frame: Frame, options: PlanOptions = {}): PlanLayout => {
  const { gap, pad, head, tooth, caption } = options.sizes ?? planSizes;
  const box = measured(frame, options);
  const layout: PlanLayout = {
    width: 0,
    height: 0,
    plates: [],
    cards: [],
    teeth: [],
    covers: [],
    panes: [],
    tray: null,
  };

  const place = (made: Box, left: number, up: number, depth: number): void => {
    const x = left + made.x;
    const y = up + made.y;
    if (made instanceof CardBox) {
      made.x = x;
      made.y = y;
      layout.cards.push(made);
      return;
    }
    const { id, parent, width, height } = made;
    if (made.kind === "covers")
      layout.covers.push({
        id,
        parent,
        x,
        y,
        width,
        height,
        stack: id,
        holds: made.inner.map((each) => each.id),
        depth,
      });
    else layout.plates.push({ id, parent, x, y, width, height, kind: made.kind, depth, column: made.column });
    if (made.kind === "pair") {
      const up = y + (made.column ? 0 : head);
      made.teeth.forEach((each, i) => {
        const at = { x: x + each.x, y: up, width: each.width, height: caption };
        layout.panes.push({ id: each.id, parent: id, ...at, pair: id, pane: i === 0 ? "list" : "detail" });
      });
    } else
      for (const each of made.teeth)
        layout.teeth.push({
          id: each.id,
          parent: id,
          x: x + each.x,
          y: y + head,
          width: each.width,
          height: tooth,
          hub: id,
        });
    for (const inner of made.inner) {
      // a tab's column reaches down to the foot of its hub
      if ((made.kind === "hub" || made.kind === "pair") && inner instanceof PlateBox)
        inner.height = height - inner.y - pad;
      place(inner, x, y, depth + 1);
    }
  };

  const root = box(frame.root, null);
  place(root, 0, 0, 0);
  layout.width = root.width;
  layout.height = root.height;
  const { loose } = indexOf(frame);
  if (loose.length) {
    const y = root.height + gap;
    const room = root.width - pad;
    let cx = pad;
    let cy = y + head;
    let tall = 0;
    for (const id of loose) {
      const made = box(id, null);
      if (cx > pad && cx + made.width > room) {
        cx = pad;
        cy += tall + gap;
        tall = 0;
      }
      made.x = cx;
      made.y = cy;
      place(made, 0, 0, 1);
      cx += made.width + gap;
      tall = Math.max(tall, made.height);
      layout.width = Math.max(layout.width, cx - gap + pad);
    }
    layout.tray = { x: 0, y, width: layout.width, height: cy + tall + pad - y };
    layout.height = y + layout.tray.height;
  }
  return layout;
};
