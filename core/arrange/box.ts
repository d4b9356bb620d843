import type { Insets, View } from "../frame/view.js";

/** A rectangle, in CSS px from the top left corner of a view. */
export interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** One edge of a rectangle. */
export type Edge = "top" | "bottom" | "left" | "right";

const edges: readonly Edge[] = ["top", "bottom", "left", "right"];
const opposite = { top: "bottom", bottom: "top", left: "right", right: "left" } as const;
/** So much of an area, px, is left by what is cut off it, or half of it where it is smaller. */
const leastLeft = 40;

/** How far a device's own strip at one edge of a view reaches into an area, px. */
export const insetAt = (area: Box, { width, height, insets }: View, edge: Edge): number => {
  if (insets[edge] === 0) return 0;
  const isAcross = edge === "left" || edge === "right";
  const size = isAcross ? area.width : area.height;
  const reach =
    edge === "top"
      ? insets.top - area.y
      : edge === "left"
        ? insets.left - area.x
        : edge === "bottom"
          ? area.y + area.height - (height - insets.bottom)
          : area.x + area.width - (width - insets.right);
  return Math.min(size, Math.max(0, reach));
};

/** How far the device's own strips reach into an area, at each of its edges, px. */
export const insetsIn = (area: Box, view: View): Insets => ({
  top: insetAt(area, view, "top"),
  right: insetAt(area, view, "right"),
  bottom: insetAt(area, view, "bottom"),
  left: insetAt(area, view, "left"),
});

/** Cuts a strip of `size` px off one edge of an area, with what the device covers there: what is left is never nothing. Written out: it is most of an arrangement. */
export const cut = (area: Box, view: View, edge: Edge, size: number): { strip: Box; rest: Box } => {
  const { x, y, width, height } = area;
  const isAcross = edge === "left" || edge === "right";
  const length = isAcross ? width : height;
  const inset = insetAt(area, view, edge);
  const clear = Math.max(0, length - inset - insetAt(area, view, opposite[edge]));
  const taken = Math.min(length, inset + Math.min(size, Math.max(clear - leastLeft, clear / 2)));
  const left = length - taken;
  if (!isAcross)
    return edge === "top"
      ? { strip: { x, y, width, height: taken }, rest: { x, y: y + taken, width, height: left } }
      : { strip: { x, y: y + left, width, height: taken }, rest: { x, y, width, height: left } };
  return edge === "left"
    ? { strip: { x, y, width: taken, height }, rest: { x: x + taken, y, width: left, height } }
    : { strip: { x: x + left, y, width: taken, height }, rest: { x, y, width: left, height } };
};

/** What of an area lies clear of what the device covers. */
export const clearOf = (area: Box, view: View): Box => {
  const { top, right, bottom, left } = view.insets;
  if (!top && !right && !bottom && !left) return area;
  let box = area;
  for (const edge of edges) box = cut(box, view, edge, 0).rest;
  return box;
};

/** Whether one box lies in another, their edges included. */
export const isWithin = (inner: Box, outer: Box): boolean =>
  inner.x >= outer.x &&
  inner.y >= outer.y &&
  inner.x + inner.width <= outer.x + outer.width &&
  inner.y + inner.height <= outer.y + outer.height;

/** What two boxes have in common; null where that is nothing. */
export const common = (a: Box, b: Box): Box | null => {
  const [x, y] = [Math.max(a.x, b.x), Math.max(a.y, b.y)];
  const width = Math.min(a.x + a.width, b.x + b.width) - x;
  const height = Math.min(a.y + a.height, b.y + b.height) - y;
  return width > 0 && height > 0 ? { x, y, width, height } : null;
};

/** How much two boxes have in common, px². */
export const overlap = (a: Box, b: Box): number => {
  const both = common(a, b);
  return both ? both.width * both.height : 0;
};

/** A box moved into a room, and made no larger than that. */
export const movedInto = (box: Box, room: Box): Box => {
  if (isWithin(box, room)) return box;
  const [width, height] = [Math.min(box.width, room.width), Math.min(box.height, room.height)];
  const within = (at: number, from: number, size: number): number => Math.min(Math.max(at, from), from + size);
  return {
    x: within(box.x, room.x, room.width - width),
    y: within(box.y, room.y, room.height - height),
    width,
    height,
  };
};

/**
 * The two sides, left and right, that an upright hinge parts an area in; null where none crosses it, or leaves one side
 * less than can hold anything.
 */
export const sidesOf = (area: Box, view: View): [Box, Box] | null => {
  const { hinge } = view;
  if (!hinge || !("x" in hinge)) return null;
  const [from, to] = [hinge.x, hinge.x + hinge.size];
  const left = { ...area, width: from - area.x };
  const right = { ...area, x: to, width: area.x + area.width - to };
  const holds = (side: Box, edge: Edge): boolean => side.width - insetAt(side, view, edge) >= leastLeft;
  return left.width > 0 && right.width > 0 && holds(left, "left") && holds(right, "right") ? [left, right] : null;
};
