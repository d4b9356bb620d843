import { withoutProperty } from "../../frame/cells.js";
import { childrenOf } from "../../frame/defaults.js";
import { subtreeOf } from "../../frame/frame-index.js";
import { called } from "../../frame/names.js";
import type { Node } from "../../frame/types.js";
import type { Draft } from "../draft.js";
import type { MoveEdit } from "../edit.js";
import { refuse } from "../refusal.js";
import { container, keepsIds, known, notRoot, putChild, structural, withoutChild } from "./common.js";
import type { Kind } from "./kind.js";

/** Refuses a move from where the node is not, into itself, or to where it is already. */
const possible = (draft: Draft, { id, from, to }: MoveEdit): void => {
  const { frame } = draft;
  const name = called(frame, id);
  if (from !== null && !childrenOf(container(draft, from)).includes(id))
    refuse(
      ["nodes", from, "children"],
      `${name}, which does not stand in ${called(frame, from)}`,
      "one of its children",
      "It may have been moved meanwhile.",
    );
  if (to === null) return;
  const at = ["nodes", to, "children"];
  if (subtreeOf(frame, id).includes(to))
    refuse(
      at,
      `${name} into ${called(frame, to)}, which stands inside it`,
      "a container outside what is moved",
      "Move it somewhere else.",
    );
  if (from !== to && childrenOf(container(draft, to)).includes(id))
    refuse(
      at,
      `${name} into ${called(frame, to)}, where it stands already`,
      "a container it is not in",
      "Move it somewhere else.",
    );
};

/** A node without what meant something only where it stood. */
const asMoved = (draft: Draft, node: Node, { from, to }: MoveEdit): Node => {
  let next = node;
  // what says how a tab shows means nothing elsewhere
  if (to !== null && draft.node(to)?.kind !== "hub") next = withoutProperty(next, "tab");
  if (next.kind === "screen" && next.linkIn !== undefined && next.linkIn === from && from !== to) {
    const { linkIn: _, ...rest } = next;
    next = rest;
  }
  return next;
};

/** A node gets another place, one more, or none. */
export const move: Kind<"move"> = {
  ...structural(),
  ...keepsIds,
  apply: (draft, edit) => {
    const { id, from, to, after } = edit;
    const node = known(draft, id);
    notRoot(draft, id, "The root stands in nothing.");
    possible(draft, edit);
    if (from !== null && from !== to) draft.put(from, withoutChild(container(draft, from), id));
    if (to !== null) putChild(draft, to, id, after);
    const next = asMoved(draft, node, edit);
    if (next !== node) draft.put(id, next);
  },
};
