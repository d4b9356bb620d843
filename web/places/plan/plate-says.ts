import {
  backOf,
  keepOf,
  bandsOf,
  faceOf,
  type Frame,
  type HubNode,
  type Id,
  nameOf,
  splitFromOf,
  startOf,
  type StackNode,
  type View,
} from "../../../core/index.js";

const faceWord = { bar: "bar", top: "top bar", rail: "rail", panel: "panel", drawer: "drawer" } as const;
const keepWord = { live: "keeps everything", place: "keeps the place", fresh: "keeps nothing" } as const;

/** What a container does, in one line: the head of its plate. */
export const plateSays = (frame: Frame, id: Id, view: View): string => {
  const node = frame.nodes[id]!;
  if (node.kind === "stack") return `stack · starts at ${nameOf(frame, startOf(node as StackNode) ?? id)}`;
  if (node.kind === "pair") {
    const from = splitFromOf(frame, node);
    return from === undefined ? "pair · never split" : `pair · side by side from ${from} up, one over the other below`;
  }
  if (node.kind !== "hub") return node.kind;
  const hub = node as HubNode;
  const faces = bandsOf(frame).map((band) => {
    const face = faceOf(frame, hub, { ...view, width: band.from, height: 10_000 });
    return `${face ? faceWord[face] : "nothing"} ${band.id}`;
  });
  const back = {
    start: `Back goes to ${nameOf(frame, startOf(hub) ?? id)} first`,
    visited: "Back goes through the tabs",
    leave: "Back leaves at once",
  }[backOf(hub)];
  return `hub · ${faces.join(", ")} · ${keepWord[keepOf(hub)]} · ${back}`;
};
