import {
  bandsOf,
  childrenOf,
  classIn,
  faceChoices,
  type Frame,
  heldBy,
  type HubNode,
  type Id,
  lensOf,
  lookOf,
  nameOf,
  nodeAt,
  optionsOf,
  plainName,
  startOf,
  type View,
} from "../../../../core/index.js";

const keeps = new Map(optionsOf("keep", true).map(({ value, label }) => [value, label]));

/** How a hub shows from band to band, what its tabs keep and where Back goes. */
const hubSays = (frame: Frame, id: Id, hub: HubNode, { target }: View): string => {
  const faces = bandsOf(frame).map((band) => {
    const { face } = lookOf(frame, id, classIn(frame, band.id, target));
    return `${faceChoices[face].named} ${band.id}`;
  });
  const back = {
    start: `Back goes to ${nameOf(frame, startOf(hub) ?? id)} first`,
    visited: "Back goes through the tabs",
    leave: "Back leaves at once",
  }[heldBy(hub, "back")];
  return `hub · ${faces.join(", ")} · keeps ${keeps.get(heldBy(hub, "keep"))} · ${back}`;
};

/** Where a pair stands side by side on a target, band by band. */
const pairSays = (frame: Frame, id: Id, { target }: View): string => {
  const bands = bandsOf(frame).map((band) => band.id);
  const isSplit = bands.map((band) => lookOf(frame, id, classIn(frame, band, target)).split);
  const split = bands.filter((_, i) => isSplit[i]);
  if (split.length === 0) return "pair · never split";
  if (split.length === bands.length) return "pair · side by side at every width";
  const first = isSplit.indexOf(true);
  return isSplit.slice(first).every(Boolean)
    ? `pair · side by side from ${split[0]} up, one over the other below`
    : `pair · side by side at ${split.join(", ")}`;
};

/** What a container does, in one line: the head of its plate. */
export const plateSays = (frame: Frame, id: Id, view: View): string => {
  const node = nodeAt(frame, id);
  switch (node.kind) {
    case "screen":
      return node.kind;
    case "stack":
      return `stack · starts at ${nameOf(frame, startOf(node) ?? id)}`;
    case "pair":
      return pairSays(frame, id, view);
    case "hub":
      return hubSays(frame, id, node, view);
  }
};

/** What the things on a stack's strip cover: everything, the stack's own region, or the containers they are pushed over. */
export const coverSays = (frame: Frame, stack: Id, holds: readonly Id[], view: View): string => {
  const { look } = lensOf(frame, view);
  const beside = childrenOf(nodeAt(frame, stack)).filter(
    (id) => nodeAt(frame, id).kind !== "screen" && !holds.includes(id),
  );
  const reaches = holds.flatMap((id) => {
    const { opens, over } = look(id);
    if (opens === "push") return beside.map((other) => plainName(frame, other));
    return over === "all" ? ["everything"] : [plainName(frame, stack)];
  });
  const all = [...new Set(reaches)].sort((a, b) => Number(a === "everything") - Number(b === "everything"));
  return all.length < 2 ? `over ${all[0] ?? "nothing"}` : `over ${all.slice(0, -1).join(", ")} or ${all.at(-1)}`;
};
