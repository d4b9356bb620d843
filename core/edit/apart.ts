import type { Id } from "../frame/parts.js";
import { keysOf } from "../frame/keys.js";
import type { Node } from "../frame/types.js";
import type { KeyChange, NodeChange, RestoreEdit } from "./edit.js";

/** The least of a change that can be made alone: what a node is as a whole, that it goes, or one value of a node or of the frame itself (`node` null). */
export type ChangePart =
  | { does: "come"; node: Id; value: Node }
  | { does: "go"; node: Id }
  /** `before`: children as they stood, so that those that came or went since stay so. */
  | { does: "set"; node: Id | null; key: string; value: unknown; before?: Id[] }
  | { does: "drop"; node: Id | null; key: string };

const ofKeys = (node: Id | null, { set = {}, drop = [] }: KeyChange, before?: Id[]): ChangePart[] => [
  ...keysOf(set).map((key): ChangePart => ({
    does: "set",
    node,
    key,
    value: set[key],
    ...(key === "children" && before && { before }),
  })),
  ...drop.map((key): ChangePart => ({ does: "drop", node, key })),
];

const ofNode = (node: Id, change: NodeChange): ChangePart[] => {
  if ("gone" in change) return [{ does: "go", node }];
  if ("node" in change) return [{ does: "come", node, value: change.node }];
  return ofKeys(node, change, change.children);
};

/** A change taken apart, in its order. */
export const takenApart = ({ nodes = {}, fields = {} }: RestoreEdit): ChangePart[] => [
  ...Object.entries(nodes).flatMap(([node, change]) => ofNode(node, change)),
  ...ofKeys(null, fields),
];

const putKey = (change: KeyChange, part: Extract<ChangePart, { does: "set" | "drop" }>): void => {
  if (part.does === "set") (change.set ??= {})[part.key] = part.value;
  else (change.drop ??= []).push(part.key);
};

/** The change that parts make together. */
export const putTogether = (parts: readonly ChangePart[]): RestoreEdit => {
  const nodes: Record<Id, NodeChange> = {};
  const fields: KeyChange = {};
  for (const part of parts) {
    if (part.does === "come") nodes[part.node] = { node: part.value };
    else if (part.does === "go") nodes[part.node] = { gone: true };
    else if (part.node === null) putKey(fields, part);
    else {
      const known = nodes[part.node];
      const change = known && !("gone" in known) && !("node" in known) ? known : {};
      nodes[part.node] = change;
      putKey(change, part);
      if (part.does === "set" && part.before) change.children = part.before;
    }
  }
  const some = (record: object): boolean => Object.keys(record).length > 0;
  return { kind: "restore", ...(some(nodes) && { nodes }), ...(some(fields) && { fields }) };
};
