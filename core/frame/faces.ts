import { bandsOf, limitOf } from "./defaults.js";
import type { Face, FactValue, Frame, HubNode, Id, Only } from "./types.js";
import { bandAt, byBand, type View } from "./view.js";

/** The face a hub shows in a view, or null if it shows none. */
export const faceOf = (frame: Frame, hub: HubNode, view: View): Face | null => {
  if (frame.short !== undefined && view.height < frame.short && hub.shortFace) return hub.shortFace;
  const onTarget = byBand(frame, hub.facesOn?.[view.target], view.width);
  if (onTarget) return onTarget;
  const faces = hub.faces ?? { [bandsOf(frame)[0]!.id]: "bar" as const };
  return byBand(frame, faces, view.width) ?? null;
};

/** Whether something limited by `only` is there in this view with these facts. */
export const isThere = (
  frame: Frame,
  only: Only | undefined,
  view: View,
  facts: Readonly<Record<Id, FactValue>>,
): boolean => {
  if (!only) return true;
  if (only.targets && !only.targets.includes(view.target)) return false;
  if (only.bands && !only.bands.includes(bandAt(frame, view.width).id)) return false;
  return Object.entries(only.facts ?? {}).every(([id, value]) => facts[id] === value);
};

/** The tabs of a face: those it shows by themselves, and those that its More entry lists. */
export interface ShownTabs {
  tabs: Id[];
  more: Id[];
}

/** The tabs a hub's face shows in a view; `bar` and `top` show `limit` at most, the rest goes behind More. */
export const tabsOf = (
  frame: Frame,
  hub: HubNode,
  face: Face,
  view: View,
  facts: Readonly<Record<Id, FactValue>>,
): ShownTabs => {
  const all = hub.children.filter((id) => {
    const tab = frame.nodes[id]?.tab;
    return !tab?.hidden && isThere(frame, tab?.only, view, facts);
  });
  const limit = limitOf(hub);
  if ((face !== "bar" && face !== "top") || all.length <= limit) return { tabs: all, more: [] };
  return { tabs: all.slice(0, limit - 1), more: all.slice(limit - 1) };
};
