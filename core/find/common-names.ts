import { heldBy } from "../frame/held.js";
import type { Face, Id, Opens } from "../frame/parts.js";
import type { NodeKind } from "../frame/properties.js";
import type { Frame } from "../frame/types.js";
import { nodeAt } from "../frame/nodes.js";

// Words that people know these things by from elsewhere: to be found by, and never shown.

const ofKind: Record<NodeKind, string> = {
  screen: "page view route",
  stack: "history flow group layers",
  hub: "tabs tab bar bottom navigation switcher",
  pair: "split two panes columns master detail",
};
const ofFace: Record<Face, string> = {
  bar: "tab bar bottom bar navbar",
  top: "top tabs segmented",
  rail: "side bar navigation rail",
  panel: "side bar sidebar",
  drawer: "side menu hamburger burger",
  none: "no bar",
};
const ofOpens: Record<Opens, string> = {
  push: "",
  sheet: "modal bottom sheet popup",
  fullscreen: "modal overlay flow",
  dialog: "modal popup alert",
  side: "panel modal drawer",
};

/** All that stand in for what a person may not see yet. */
export const standInsOf = (frame: Frame): ReadonlySet<Id> =>
  new Set(Object.values(frame.nodes).flatMap(({ needs = [] }) => needs.flatMap(({ otherwise }) => otherwise ?? [])));

/** What a node is known by elsewhere, by what it is and does in the frame, of which `standIns` are those that stand in for others. */
export const commonNames = (frame: Frame, id: Id, standIns: ReadonlySet<Id>): string => {
  const node = nodeAt(frame, id);
  return [
    ofKind[node.kind],
    node.kind === "hub" ? ofFace[heldBy(node, "face")] : "",
    ofOpens[heldBy(node, "opens")],
    node.needs?.length ? "guard guarded protected gate" : "",
    node.tab ? "tab" : "",
    frame.address?.lost === id ? "not found 404 missing fallback" : "",
    node.kind === "screen" && node.after ? "splash intro loading redirect" : "",
    standIns.has(id) ? "login log in auth onboarding gate" : "",
  ]
    .filter(Boolean)
    .join(" ");
};
