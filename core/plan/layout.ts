import { indexOf } from "../frame/frame-index.js";
import type { Frame } from "../frame/types.js";
import { type Box, CardBox, measurerOf, PlateBox, type PlanOptions } from "./measure.js";
import type { PlanLayout } from "./placed.js";
import { planSizes } from "./sizes.js";

/**
 * The plan of a frame: plates inside plates, a hub's tabs side by side under its comb, a stack's screens one step in
 * and down for each tap from its start, what lies over them on a strip, a pair's panes with a gutter between, loose nodes in a tray at the foot. Deterministic; two passes, linear.
 */
export const planLayout = (frame: Frame, options: PlanOptions = {}): PlanLayout => {
  const { gap, pad, head, tooth, caption } = options.sizes ?? planSizes;
  const box = measurerOf(frame, options);
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
    else
      layout.plates.push({
        id,
        parent,
        x,
        y,
        width,
        height,
        kind: made.kind,
        depth,
        column: made.column,
        folded: made.folded,
      });
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
