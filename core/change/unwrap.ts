import { variedAmong } from "../frame/cells.js";
import { varyingKeys } from "../frame/properties.js";
import { keysOfAll } from "../frame/keys.js";
import { sure } from "../frame/sure.js";
import { nodeAt } from "../frame/nodes.js";
import type { Edit } from "../edit/edit.js";
import { childrenOf, startOf, plainIcon } from "../frame/defaults.js";
import { mapReferences, referencesOf } from "../frame/references.js";
import type { ContainerNode, Frame, Node, PairNode } from "../frame/types.js";
import type { Id } from "../frame/parts.js";
import { plainName } from "../frame/names.js";
import { cannot, type ChangeOfMind, planned } from "./change.js";

/** The edits by which what leads to a node leads to another. */
export const leadElsewhere = (frame: Frame, from: Id, to: Id, only?: ReadonlySet<Id>): Edit[] => {
  const map = (id: Id): Id => (id === from ? to : id);
  const edits: Edit[] = [];
  for (const [id, node] of Object.entries(frame.nodes)) {
    if ((only && !only.has(id)) || !referencesOf(node).some((reference) => reference.to === from)) continue;
    const next = mapReferences(node, map);
    for (const key of keysOfAll<Node>(node, next))
      if (key !== "kind" && next[key] !== node[key]) edits.push({ kind: "set", node: id, key, value: next[key] });
  }
  return edits;
};

/** What says how something opens. */
const opening = ["opens", "over", "rest", "edge"] as const;

const firstOf = (node: ContainerNode): Id | undefined => (node.kind === "pair" ? node.list : startOf(node));

/** Takes a container away and leaves what it holds in its place. */
export const unwrap: ChangeOfMind = {
  id: "unwrap",
  label: "Unwrap",
  says: "takes the container away; what it holds stays in its place",
  plan: (frame, parts) => {
    const [part] = parts;
    if (!part || parts.length > 1) return cannot("Choose one container.");
    const { id, parent } = part;
    const node = nodeAt(frame, id);
    if (node.kind === "screen") return cannot("A screen holds nothing.");
    if (parent === null)
      return cannot(
        id === frame.root ? "The root holds everything and stays." : "It is loose: it has no place to leave it in.",
      );
    const holder = nodeAt(frame, parent);
    if (holder.kind === "screen") return cannot("A screen holds nothing.");
    const children = childrenOf(node);
    const first = sure(firstOf(node));
    if (holder.kind === "pair" && children.length > 1) return cannot("A pane of a pair holds one thing.");
    const edits: Edit[] = leadElsewhere(frame, id, first);
    const stays = children.filter((child) => !childrenOf(holder).includes(child));
    if (holder.kind === "pair") {
      const key: keyof PairNode = holder.list === id ? "list" : "detail";
      const child = sure(stays[0]);
      edits.push(
        { kind: "move", id: child, from: id, to: null, after: null },
        { kind: "set", node: parent, key, value: child },
      );
    } else {
      let after: Id = id;
      for (const child of stays) {
        edits.push({ kind: "move", id: child, from: id, to: parent, after });
        after = child;
      }
      if (holder.kind === "hub")
        for (const child of stays) {
          const tab = child === first ? (node.tab ?? nodeAt(frame, child).tab) : nodeAt(frame, child).tab;
          edits.push({ kind: "set", node: child, key: "tab", value: tab ?? { icon: plainIcon } });
        }
      if (startOf(holder) === id) edits.push({ kind: "set", node: parent, key: "start", value: first });
      if (holder.kind === "stack" && holder.base === id)
        edits.push({ kind: "set", node: parent, key: "base", value: first });
    }
    // what opened over the rest goes on doing so
    if (holder.kind === "stack" && startOf(holder) !== id) {
      for (const key of opening)
        if (node[key] !== undefined) edits.push({ kind: "set", node: first, key, value: node[key] });
      const varied = variedAmong(node, opening);
      const own = variedAmong(
        nodeAt(frame, first),
        varyingKeys.filter((key) => !opening.some((other) => other === key)),
      );
      if (varied.length) edits.push({ kind: "set", node: first, key: "vary", value: [...own, ...varied] });
    }
    if (frame.address?.lost === id)
      edits.push({ kind: "setFrame", key: "address", value: { ...frame.address, lost: first } });
    edits.push({ kind: "remove", id });
    return planned({
      edit: { kind: "batch", edits },
      label: `Unwrap ${plainName(frame, id)}`,
      choose: { id: first, parent },
    });
  },
};
