import { childrenOf } from "../frame/defaults.js";
import { indexOf } from "../frame/frame-index.js";
import type { Frame, Id, NodeKind } from "../frame/types.js";
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
  /** The strip with the name of what lies over the rest of a stack. */
  caption: number;
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
  /** It stands beside a container in the same stack, and covers it. */
  covers: boolean;
}

/** A hub's comb tooth, over the tab that hangs from it. */
export interface Tooth extends Placed {
  hub: Id;
}

/** The strip on which lie the screens that cover what stands beside them. */
export interface CoverStrip extends Placed {
  stack: Id;
}

export interface PlanLayout {
  width: number;
  height: number;
  plates: Plate[];
  cards: Card[];
  teeth: Tooth[];
  covers: CoverStrip[];
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
}

const measured = (frame: Frame, options: PlanOptions) => {
  const sizes = options.sizes ?? planSizes;
  const { gap, pad, head, tooth, step, mostSteps, caption } = sizes;
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
    const stepped =
      node.kind === "stack"
        ? stepsOf(frame, node)
        : childrenOf(node).map((child) => ({ id: child, taps: 0, under: null }));
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
      made.width = Math.max(width, sizes.card.width) + 2 * pad;
      made.height = Math.max(bottom - gap, top) + pad;
      return made;
    }
    // a stack with containers: what comes before them, the containers side by side, what lies over them
    const before = stepped.slice(0, firstContainer);
    const containers = stepped.slice(firstContainer).filter((child) => frame.nodes[child.id]!.kind !== "screen");
    const over = stepped.slice(firstContainer).filter((child) => frame.nodes[child.id]!.kind === "screen");
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
      const strip = new PlateBox(id, id, "covers");
      strip.x = x;
      strip.y = top;
      const room = Math.max(bottom - top, 0);
      let cx = pad;
      let cy = caption;
      let wide = 0;
      let tall = 0;
      for (const each of over) {
        const inner = hung(each.id, id, each);
        inner.covers = true;
        if (cy > caption && cy + inner.height + pad > room) {
          cx += wide + gap;
          cy = caption;
          wide = 0;
        }
        inner.x = cx;
        inner.y = cy;
        cy += inner.height + gap;
        wide = Math.max(wide, inner.width);
        tall = Math.max(tall, cy - gap);
        strip.inner.push(inner);
      }
      strip.width = cx + wide + pad;
      strip.height = Math.max(tall + pad, 0);
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
 * and down for each tap from its start, loose nodes in a tray at the foot. Deterministic; two passes, linear.
 */
export const planLayout = (frame: Frame, options: PlanOptions = {}): PlanLayout => {
  const { gap, pad, head, tooth } = options.sizes ?? planSizes;
  const box = measured(frame, options);
  const layout: PlanLayout = { width: 0, height: 0, plates: [], cards: [], teeth: [], covers: [], tray: null };

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
    if (made.kind === "covers") layout.covers.push({ id, parent, x, y, width, height, stack: id });
    else layout.plates.push({ id, parent, x, y, width, height, kind: made.kind, depth, column: made.column });
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
      if (made.kind === "hub" && inner instanceof PlateBox) inner.height = height - inner.y - pad;
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

const cardWidths = [150, 140, 130, 122, 114, 106, 98, 90];
/** How tall a card's picture is for its width: a tall view is cut short where the room is low. */
const cardShapes = [1.4, 1.25, 1.1];
/** Measuring every width of a frame larger than this costs more than it tells: it will not fit. */
const mostFitted = 400;
const mostSpread = 70;

/** How many tabs side by side take part when a plan is spread. */
const spreadTabs = (layout: PlanLayout): number => {
  const wholes = new Set(
    layout.plates.filter((plate) => plate.kind === "hub" && !plate.column).map((plate) => plate.id),
  );
  return layout.teeth.filter((tooth) => wholes.has(tooth.hub)).length;
};

/**
 * The plan with cards as large as the room lets them be: all of it in sight if that goes, else as wide as the room; with
 * less than 90 px for a card, title rows, and pictures only for `kept` (those beside the chosen one). Room that is left
 * beside is spread over the tabs.
 */
export const fitPlan = (
  frame: Frame,
  room: { width: number; height: number },
  aspect: number,
  kept: (id: Id) => boolean = () => false,
): PlanLayout => {
  const sized = (width: number, shape: number): PlanSizes => ({
    ...planSizes,
    card: { width, height: Math.round(width * Math.min(aspect, shape)) },
    row: { ...planSizes.row, width: Math.max(planSizes.row.width, width) },
  });
  const spread = (options: PlanOptions, layout: PlanLayout): PlanLayout => {
    const tabs = spreadTabs(layout);
    const each = tabs === 0 ? 0 : Math.min(mostSpread, Math.floor((room.width - layout.width) / tabs));
    return each > 0 ? planLayout(frame, { ...options, spread: each }) : layout;
  };
  if (Object.keys(frame.nodes).length <= mostFitted) {
    let widest: [PlanOptions, PlanLayout] | null = null;
    for (const width of cardWidths)
      for (const shape of cardShapes) {
        const options = { sizes: sized(width, shape) };
        const layout = planLayout(frame, options);
        if (layout.width > room.width) break;
        if (layout.height <= room.height) return spread(options, layout);
        if (layout.height <= 2.2 * room.height && shape === cardShapes[0]) widest = [options, layout];
      }
    if (widest) return spread(...widest);
  }
  return planLayout(frame, { sizes: sized(96, cardShapes[0]!), pictured: kept });
};
