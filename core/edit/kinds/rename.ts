import { childrenOf } from "../../frame/defaults.js";
import type { Id } from "../../frame/parts.js";
import { mapReferences, withLost, withQuiet } from "../../frame/references.js";
import { noRenames } from "../renames.js";
import { freeId, known, structural, withChildrenNamed } from "./common.js";
import type { Kind } from "./kind.js";

/** A node gets another id, wherever it is named. */
export const rename: Kind<"rename"> = {
  ...structural(),
  renames: ({ id, to }) => (id === to ? noRenames : { [id]: to }),
  apply: (draft, { id, to }) => {
    const node = known(draft, id);
    if (id === to) return;
    freeId(draft, to);
    const map = (name: Id): Id => (name === id ? to : name);
    for (const [other, value] of Object.entries(draft.frame.nodes)) {
      if (other === id) continue;
      const named = mapReferences(value, map);
      const next = childrenOf(named).includes(id) ? withChildrenNamed(named, map) : named;
      if (next !== value) draft.put(other, next);
    }
    draft.drop(id);
    draft.put(to, mapReferences(node, map));
    const { root, address } = draft.frame;
    if (root === id) draft.field("root", to);
    if (address?.lost === id) draft.field("address", { ...address, lost: to });
    const varied = withLost(draft.frame.vary, map);
    if (varied !== draft.frame.vary) draft.field("vary", varied);
    const quiet = withQuiet(draft.frame.quiet, map);
    if (quiet !== draft.frame.quiet) draft.field("quiet", quiet);
  },
};
