import type { Edit } from "../edit/edit.js";
import { withoutProperty } from "../frame/cells.js";
import { nodeAt } from "../frame/nodes.js";
import type { Id } from "../frame/parts.js";
import type { Frame } from "../frame/types.js";

/** The edits by which a node says nothing any more of how it shows as a tab, in no view. */
export const noTab = (frame: Frame, id: Id): Edit[] => {
  const node = nodeAt(frame, id);
  const next = withoutProperty(node, "tab");
  return (["tab", "vary"] as const).flatMap((key): Edit[] =>
    node[key] === next[key]
      ? []
      : [{ kind: "set", node: id, key, ...(next[key] !== undefined && { value: next[key] }) }],
  );
};
