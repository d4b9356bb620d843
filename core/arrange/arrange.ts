import type { Frame, HubNode, Id, SizeName } from "../frame/types.js";
import type { View } from "../frame/view.js";
import type { State } from "../navigate/state.js";
import { type Surface, surfaceOf } from "../navigate/surface.js";

export type Role = "content" | "header" | "bar" | "top" | "rail" | "panel";

/** A rectangle of a view, in CSS px from its top left corner, and whose it is. */
export interface Region {
  role: Role;
  node: Id;
  x: number;
  y: number;
  width: number;
  height: number;
}

interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

const defaultSizes: Record<"header" | "bar" | "top" | "rail" | "panel", number> = {
  header: 50,
  bar: 60,
  top: 46,
  rail: 76,
  panel: 240,
};

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

/** Cuts a strip of `size` px off one edge of an area, with the inset of the view's edge it lies at. */
const cut = (area: Box, view: View, edge: Edge, size: number): { strip: Box; rest: Box } => {
  const wanted = size + (touches(area, view, edge) ? view.insets[edge] : 0);
  if (edge === "top" || edge === "bottom") {
    const height = Math.min(wanted, area.height);
    const strip = { ...area, height, y: edge === "top" ? area.y : area.y + area.height - height };
    return { strip, rest: { ...area, height: area.height - height, y: edge === "top" ? area.y + height : area.y } };
  }
  const width = Math.min(wanted, area.width);
  const strip = { ...area, width, x: edge === "left" ? area.x : area.x + area.width - width };
  return { strip, rest: { ...area, width: area.width - width, x: edge === "left" ? area.x + width : area.x } };
};

/** The regions of a view, back to front: what shows in it, then what its containers draw around that, outermost last. */
export const arrangeSurface = (frame: Frame, surface: Surface, view: View): Region[] => {
  const sizeOf = (name: keyof typeof defaultSizes & SizeName): number =>
    frame.theme?.sizes?.[name] ?? defaultSizes[name];
  const start: Edge = view.rtl ? "right" : "left";
  const around: Region[] = [];
  let area: Box = { x: 0, y: 0, width: view.width, height: view.height };
  const take = (role: Exclude<Role, "content">, node: Id, edge: Edge, over = false): void => {
    const { strip, rest } = cut(area, view, edge, sizeOf(role));
    around.push({ role, node, ...strip });
    if (!over) area = rest;
  };
  for (const { container, bar, strip, header } of surface.layers) {
    const floats = bar !== null && (frame.nodes[bar.hub] as HubNode).floating === true;
    if (bar?.face === "rail" || bar?.face === "panel") take(bar.face, bar.hub, start, floats);
    if (strip) take("header", strip.by, "top");
    if (bar?.face === "top") take("top", bar.hub, "top", floats);
    if (bar?.face === "bar") take("bar", bar.hub, "bottom", floats);
    if (header) take("header", container.node, "top");
  }
  for (const edge of ["top", "bottom", "left", "right"] as const)
    if (touches(area, view, edge)) area = cut(area, view, edge, 0).rest;
  return [{ role: "content", node: surface.top.node, ...area }, ...around.reverse()];
};

/** The regions of what a state shows in a view, in CSS px, back to front. */
export const arrange = (frame: Frame, state: State, view: View): Region[] =>
  state.outside ? [] : arrangeSurface(frame, surfaceOf(frame, state, view), view);
