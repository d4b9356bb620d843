import { backOf, childrenOf, keepOf, opensOf, overOf, plainName, bandsOf, faceOf, type Frame, type HubNode, type Id, nameOf, splitFromOf, startOf, type StackNode, type View } from "../../../core/index.js";

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

/** What the things on a stack's strip cover: everything, the stack's own region, or the containers they are pushed over. */
export const coverSays = (frame: Frame, stack: Id, holds: readonly Id[], view: View): string => {
  const beside = childrenOf(frame.nodes[stack]!).filter(
    (id) => frame.nodes[id]!.kind !== "screen" && !holds.includes(id),
  );
  const reaches = holds.flatMap((id) => {
    const node = frame.nodes[id]!;
    if (opensOf(frame, node, view) === "push") return beside.map((other) => plainName(frame, other));
    return overOf(node) === "all" ? ["everything"] : [plainName(frame, stack)];
  });
  const all = [...new Set(reaches)].sort((a, b) => Number(a === "everything") - Number(b === "everything"));
  return all.length < 2 ? `over ${all[0] ?? "nothing"}` : `over ${all.slice(0, -1).join(", ")} or ${all.at(-1)}`;
};
