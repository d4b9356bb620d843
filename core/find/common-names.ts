import { factsOf } from "../frame/defaults.js";
import { heldBy } from "../frame/held.js";
import type { Face, Id, Opens } from "../frame/parts.js";
import type { NodeKind } from "../frame/properties.js";
import type { Frame } from "../frame/types.js";
import { nodeAt } from "../frame/nodes.js";
import { standsInFor } from "../frame/needs.js";

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

/** What a node is known by elsewhere, by what it is and does in the frame. */
export const commonNames = (frame: Frame, id: Id): string => {
  const node = nodeAt(frame, id);
  return [
    ofKind[node.kind],
    node.kind === "hub" ? ofFace[heldBy(node, "face")] : "",
    ofOpens[heldBy(node, "opens")],
    node.needs?.length ? "guard guarded protected gate" : "",
    node.tab ? "tab" : "",
    frame.address?.lost === id ? "not found 404 missing fallback" : "",
    node.kind === "screen" && node.after ? "splash intro loading redirect" : "",
    factsOf(frame).length > 0 && standsInFor(frame, id).length > 0 ? "login log in auth onboarding gate" : "",
  ]
    .filter(Boolean)
    .join(" ");
};
