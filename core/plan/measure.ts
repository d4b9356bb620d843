import { childrenOf, startOf } from "../frame/defaults.js";
import { heldBy } from "../frame/held.js";
import { opensOf } from "../frame/look.js";
import { classOf } from "../frame/views.js";
import { plainName } from "../frame/names.js";
import { shortNeeds } from "../frame/needs.js";
import { nodeAt } from "../frame/nodes.js";
import type { Frame } from "../frame/types.js";
import type { Id } from "../frame/parts.js";
import type { View } from "../frame/view.js";
import type { Card, Plate } from "./placed.js";
import { planSizes, type PlanSizes } from "./sizes.js";
import { type Stepped, stepsOf } from "./steps.js";
import { linesIn, nameLetter, smallLetter, titleLetter } from "./text-room.js";

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
export class CardBox implements Card {
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
    readonly head: number,
  ) {}
}

/** A container that is measured, with what stands in it. */
export class PlateBox {
  x = 0;
  y = 0;
  width = 0;
  height = 0;
  inner: (CardBox | PlateBox)[] = [];
  teeth: HangingTooth[] = nothing;
  folded = false;

  constructor(
    readonly id: Id,
    readonly parent: Id | null,
    readonly kind: Plate["kind"] | "covers",
    readonly column = false,
  ) {}
}

/** Anything that is measured. */
export type Box = CardBox | PlateBox;

/** How a plan is laid out. */
export interface PlanOptions {
  sizes?: PlanSizes;
  /** Added to the width of each tab of a hub that is itself no tab, px: spreads the plan over room that is left. */
  spread?: number;
  /** Which screens show their picture; default all. */
  pictured?: (id: Id) => boolean;
  /** Which containers are drawn by their name alone; default none. */
  folded?: (id: Id) => boolean;
  /** What is an overlay depends on it; default: what says so for all views. */
  view?: View;
}

/** Wider than this nothing is made for the sake of what is written on it, px. */
const mostForText = 280;
const roomFor = (letters: number, letter: number, around: number): number =>
  Math.min(mostForText, Math.ceil(letters * letter + around));

/** What the words over a strip need: those it covers, or everything. */
const captionRoom = (frame: Frame, stack: Id): number => {
  const beside = childrenOf(nodeAt(frame, stack)).filter((id) => nodeAt(frame, id).kind !== "screen");
  const words = beside.length
    ? `over ${beside.map((id) => plainName(frame, id)).join(", ")} or everything`
    : "over everything";
  return roomFor(words.length, smallLetter, 18);
};

/** What a plate's name needs, with its signs beside it. */
const headRoom = (frame: Frame, id: Id): number => roomFor(plainName(frame, id).length, nameLetter, 76);

/** What a tooth needs: the icon, the label, a badge, and what the tab needs. */
const toothRoom = (frame: Frame, id: Id): number => {
  const { tab = {} } = nodeAt(frame, id);
  const needs = shortNeeds(frame, id);
  const label = (tab.label ?? plainName(frame, id)).length * titleLetter;
  const marks = (tab.icon ? 24 : 0) + (tab.badge === undefined ? 0 : 28) + (tab.hidden ? 48 : 0);
  return Math.min(mostForText, Math.ceil(label + marks + (needs ? needs.length * smallLetter + 20 : 0) + 30));
};

/** What measures a node and all in it, for a frame. */
export const measurerOf = (frame: Frame, options: PlanOptions): ((id: Id, parent: Id | null) => Box) => {
  const sizes = options.sizes ?? planSizes;
  const { gap, pad, head, tooth, step, mostSteps, caption, gutter, title } = sizes;
  const { view } = options;
  const at = view && classOf(frame, view);
  const isOverlay = (id: Id): boolean => (at ? opensOf(frame, id, at) : heldBy(nodeAt(frame, id), "opens")) !== "push";
  const pictured = options.pictured ?? (() => true);
  const folded = options.folded ?? (() => false);
  const spread = options.spread ?? 0;

  const card = (id: Id, parent: Id | null): CardBox => {
    const picture = pictured(id);
    const { width, height } = picture ? sizes.card : sizes.row;
    const lines = Math.min(title.most, linesIn(plainName(frame, id), width - 18, titleLetter));
    if (!picture) return new CardBox(id, parent, width, height + (lines - 1) * title.line, picture, 0);
    const needs = shortNeeds(frame, id);
    const needLines = needs ? linesIn(needs, width - 32, smallLetter) : 0;
    const head = title.around + lines * title.line + needLines * title.needs;
    return new CardBox(id, parent, width, height + head, picture, head);
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
      const { height } = inner;
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
    strip.width = Math.max(right + pad, captionRoom(frame, stack));
    strip.height = foot + pad / 2;
    return strip;
  };

  const box = (id: Id, parent: Id | null, column = false): Box => {
    const node = frame.nodes[id]!;
    if (node.kind === "screen") return card(id, parent);
    const made = new PlateBox(id, parent, node.kind, column);
    const top = column ? pad : head + pad;
    if (folded(id)) {
      made.folded = true;
      made.width = column ? sizes.card.width : Math.max(sizes.row.width, 2 * sizes.card.width, headRoom(frame, id));
      made.height = column ? pad : head;
      return made;
    }
    if (node.kind === "hub") {
      made.teeth = [];
      let x = column ? 0 : pad;
      let bottom = 0;
      for (const child of node.children) {
        const inner = box(child, id, true);
        const leaf = inner instanceof CardBox;
        const least = Math.max(sizes.card.width + 2 * pad, toothRoom(frame, child));
        const width = Math.max(inner.width + (leaf ? 2 * pad : 0), least) + (column ? 0 : spread);
        inner.x = x + (leaf ? pad : 0);
        inner.y = head + tooth + (leaf ? pad : 0);
        if (!leaf) inner.width = width;
        made.teeth.push({ id: child, x, width });
        made.inner.push(inner);
        x += width + gap / 2;
        bottom = Math.max(bottom, inner.y + inner.height);
      }
      made.width = Math.max(x - gap / 2 + (column ? 0 : pad), 2 * sizes.card.width, headRoom(frame, id));
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
        const name = roomFor(leaf ? 0 : plainName(frame, child).length, titleLetter, 60);
        const width = Math.max(inner.width + (leaf ? 2 * pad : 0), sizes.card.width + 2 * pad, name);
        inner.x = x + (leaf ? pad : 0);
        inner.y = up + caption + (leaf ? pad : 0);
        if (!leaf) inner.width = width;
        made.teeth = [...made.teeth, { id: child, x, width }];
        made.inner.push(inner);
        x += width + gutter;
        bottom = Math.max(bottom, inner.y + inner.height);
      }
      made.width = Math.max(x - gutter + pad, 2 * sizes.card.width, column ? 0 : headRoom(frame, id));
      made.height = Math.max(bottom, up + caption) + pad;
      return made;
    }
    const all = stepsOf(frame, node);
    const start = startOf(node);
    const lies = (child: Stepped): boolean => child.id !== start && isOverlay(child.id);
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
      const wide = Math.max(width, sizes.card.width, column ? 0 : headRoom(frame, id) - 2 * pad);
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
    made.width = Math.max(x - gap + pad, column ? 0 : headRoom(frame, id));
    made.height = bottom + pad;
    return made;
  };
  return box;
};
