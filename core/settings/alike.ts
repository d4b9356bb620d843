import { nodeAt } from "../frame/nodes.js";
import type { Part } from "../edit/part.js";
import { heldBy } from "../frame/held.js";
import { propertyKeys, propertyOf } from "../frame/properties.js";
import { childrenOf, startOf } from "../frame/defaults.js";
import { parentsOf, placesOf } from "../frame/frame-index.js";
import type { Frame } from "../frame/types.js";
import type { Id } from "../frame/parts.js";

const isStart = (frame: Frame, { id, parent }: Part): boolean => {
  const holder = parent === null ? undefined : frame.nodes[parent];
  return holder !== undefined && (holder.kind === "stack" || holder.kind === "hub") && startOf(holder) === id;
};

/** What a node is in the structure: its kind, what holds it, how it opens, and whether its stack starts with it. */
const likeness = (frame: Frame, part: Part): string => {
  const node = nodeAt(frame, part.id);
  const holder = part.parent === null ? null : nodeAt(frame, part.parent).kind;
  const said = propertyKeys.flatMap((key) => (propertyOf(key).parts ? [heldBy(node, key)] : []));
  return JSON.stringify([node.kind, holder, ...said, holder === "stack" && isStart(frame, part)]);
};

const everyPart = (frame: Frame): Part[] =>
  Object.keys(frame.nodes).map((id) => ({ id, parent: placesOf(frame, id)[0] ?? parentsOf(frame, id)[0] ?? null }));

/** All nodes of the same kind, each once. */
export const sameKind = (frame: Frame, { id }: Part): Part[] => {
  const { kind } = nodeAt(frame, id);
  return everyPart(frame).filter((part) => nodeAt(frame, part.id).kind === kind && part.id !== frame.root);
};

/** All nodes that are like this one: of its kind, opened as it is, in such a container. */
export const alike = (frame: Frame, part: Part): Part[] => {
  const wanted = likeness(frame, part);
  return everyPart(frame).filter((each) => likeness(frame, each) === wanted);
};

/** What stands beside it, itself among it. */
export const siblings = (frame: Frame, { id, parent }: Part): Part[] =>
  parent === null ? [{ id, parent }] : childrenOf(nodeAt(frame, parent)).map((child: Id) => ({ id: child, parent }));
