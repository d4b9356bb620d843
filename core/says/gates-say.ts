import { plainName } from "../frame/names.js";
import { needWords } from "../frame/needs.js";
import type { Id } from "../frame/parts.js";
import type { Frame, Node } from "../frame/types.js";
import { list } from "./words.js";

const asks = (node: Node | undefined): boolean => node?.kind === "screen" && node.leave !== undefined;

/** What stands in the way that did not before an edit: a need to be met, a question before leaving; of the nodes that were there. */
export const gatesSay = (before: Frame, after: Frame, except: readonly Id[] = []): string[] =>
  Object.entries(after.nodes).flatMap(([id, node]) => {
    const was = before.nodes[id];
    if (!was) return [];
    const name = plainName(after, id);
    const { needs = [] } = node;
    const isGated = !except.includes(id) && needs.length > (was.needs?.length ?? 0);
    return [
      ...(isGated ? [`${name} needs ${list(needs.map((need) => needWords(after, need)))} now`] : []),
      ...(asks(node) && !asks(was) ? [`${name} asks before it is left`] : []),
    ];
  });
