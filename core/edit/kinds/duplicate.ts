import type { Id } from "../../frame/parts.js";
import { mapReferences } from "../../frame/references.js";
import type { Node } from "../../frame/types.js";
import { addNodes } from "./add.js";
import { keepsIds, known, structural, withChildrenNamed } from "./common.js";
import type { Kind } from "./kind.js";

/** A copy of a node under other names; an address leads to one screen, so the copy has none. */
const copied = (node: Node, map: (id: Id) => Id): Node => {
  const named = withChildrenNamed(mapReferences(node, map), map);
  if (named.kind !== "screen") return named;
  const { path: _path, also: _also, ...rest } = named;
  return rest;
};

/** A node is copied with all inside it, under new ids. */
export const duplicate: Kind<"duplicate"> = {
  ...structural(),
  ...keepsIds,
  apply: (draft, { id, ids, parent, after }) => {
    known(draft, id);
    const map = (name: Id): Id => (Object.hasOwn(ids, name) ? (ids[name] ?? name) : name);
    const nodes: Record<Id, Node> = {};
    for (const name of Object.keys(ids)) nodes[map(name)] = copied(known(draft, name), map);
    addNodes(draft, { kind: "add", nodes, top: map(id), parent, after });
  },
};
