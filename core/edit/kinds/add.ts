import type { Draft } from "../draft.js";
import type { AddEdit } from "../edit.js";
import { refuse } from "../refusal.js";
import { freeId, keepsIds, putChild, structural } from "./common.js";
import type { Kind } from "./kind.js";

/** Puts the nodes of an edit into a draft, the top one into its place. */
export const addNodes = (draft: Draft, edit: AddEdit): void => {
  if (!edit.nodes[edit.top])
    refuse(["nodes", edit.top], `no node ${edit.top} to add`, "the node itself among nodes", "Send it along.");
  for (const [id, node] of Object.entries(edit.nodes)) {
    freeId(draft, id);
    draft.put(id, node);
  }
  if (edit.parent !== null) putChild(draft, edit.parent, edit.top, edit.after);
};

/** Nodes are added, the top one into its place. */
export const add: Kind<"add"> = { ...structural(), ...keepsIds, apply: addNodes };
