import { plainFrame } from "../../frame/write.js";
import { keepsIds, structural } from "./common.js";
import type { Kind } from "./kind.js";

/** Another frame takes the place of this one. */
export const replace: Kind<"replace"> = {
  ...structural(),
  ...keepsIds,
  apply: (draft, { frame }) => {
    const { nodes, ...fields } = plainFrame(frame);
    for (const id of Object.keys(draft.frame.nodes)) if (!Object.hasOwn(nodes, id)) draft.drop(id);
    for (const [id, node] of Object.entries(nodes)) draft.put(id, node);
    for (const key of Object.keys(draft.frame)) if (key !== "nodes" && !(key in fields)) draft.field(key, undefined);
    for (const [key, value] of Object.entries(fields)) draft.field(key, value);
  },
};
