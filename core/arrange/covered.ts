import type { FixedFrame } from "../frame/types.js";
import type { View } from "../frame/view.js";
import { lensOf } from "../frame/look.js";
import type { Region } from "./arrange.js";
import { type Box, common } from "./box.js";

/** What hides a part of what a person could touch. */
export type Cover = "hinge" | "cut" | "bar" | "overlay";

/** A part of a screen's content that is hidden, and by what. */
export interface Covered extends Box {
  by: Cover;
  /** The screen it is a part of. */
  node: Region["node"];
}

/** Where a device folds, as a box across its whole view; null where it does not, or the fold takes no room. */
export const hingeBox = ({ width, height, hinge }: View): Box | null => {
  if (!hinge || hinge.size === 0) return null;
  return "x" in hinge
    ? { x: hinge.x, y: 0, width: hinge.size, height }
    : { x: 0, y: hinge.y, width, height: hinge.size };
};

/** What of a view its device itself hides: a hinge that takes room, and holes in its screen. */
export const hiddenByDevice = (view: View): (Box & { by: Cover })[] => {
  const hinge = hingeBox(view);
  return [
    ...(view.cuts ?? []).map((cut) => ({ ...cut, by: "cut" as const })),
    ...(hinge ? [{ ...hinge, by: "hinge" as const }] : []),
  ];
};

/** Overlays that leave what they do not cover in sight. */
const lifted = new Set<Region["role"]>(["sheet", "dialog", "side", "drawer"]);

/**
 * What of the content of a view is hidden: under a hinge, a hole in the screen, the bar of a hub that floats over it, or an
 * overlay at rest. Strips are left aside: what they hold is laid out clear of nothing but the device's own strips.
 */
export const coveredIn = (frame: FixedFrame, view: View, regions: readonly Region[]): Covered[] => {
  const { look } = lensOf(frame, view);
  const fixed = hiddenByDevice(view);
  const covered: Covered[] = [];
  regions.forEach((content, i) => {
    if (content.role !== "content") return;
    const hides = (by: Cover, box: Box): void => {
      const both = common(content, box);
      if (both) covered.push({ ...both, by, node: content.node });
    };
    for (const each of fixed) hides(each.by, each);
    for (const over of regions.slice(i + 1)) {
      if (over.bar && over.role !== "drawer" && look(over.node).floating) hides("bar", over);
      else if (lifted.has(over.role)) hides("overlay", over);
    }
  });
  return covered;
};

/** The least size of what is touched, CSS px (WCAG 2.2, success criterion 2.5.8). */
export const leastTarget = 24;

/** Why something cannot be touched well: it is too small, or hidden more than half. */
export type TargetTrouble = { why: "small" } | { why: "hidden"; by: Cover };

/** What is wrong with where something to be touched lies; null where nothing is. */
export const targetTrouble = (target: Box, covered: readonly (Box & { by: Cover })[]): TargetTrouble | null => {
  const middle = { x: target.x + target.width / 2, y: target.y + target.height / 2 };
  const over = covered.find(
    ({ x, y, width, height }) => middle.x >= x && middle.x < x + width && middle.y >= y && middle.y < y + height,
  );
  if (over) return { why: "hidden", by: over.by };
  return target.width < leastTarget || target.height < leastTarget ? { why: "small" } : null;
};
