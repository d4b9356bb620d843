import { childrenOf } from "../frame/defaults.js";
import type { Id } from "../frame/parts.js";
import type { Node } from "../frame/types.js";
import type { Edit } from "./edit.js";
import { together } from "./together.js";

/**
 * The edit that puts new nodes into a place, those of `tops` behind one another with what is in them: one `add` for each. A
 * top that is not among the nodes is a screen that is there already; it gets one place more.
 */
export const addTops = (
  nodes: Readonly<Record<Id, Node>>,
  tops: readonly Id[],
  { parent, after }: { parent: Id | null; after: Id | null },
): Edit => {
  const gone = new Set<Id>();
  let last = after;
  const edits = tops.map((top): Edit => {
    const own: Record<Id, Node> = {};
    const walk = (id: Id): void => {
      const node = Object.hasOwn(nodes, id) ? nodes[id] : undefined;
      if (!node || gone.has(id)) return;
      gone.add(id);
      own[id] = node;
      for (const child of childrenOf(node)) walk(child);
    };
    walk(top);
    const behind = last;
    last = top;
    return own[top]
      ? { kind: "add", nodes: own, top, parent, after: behind }
      : { kind: "move", id: top, from: null, to: parent, after: behind };
  });
  return together(edits);
};
