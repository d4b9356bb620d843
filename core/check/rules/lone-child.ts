import { childrenOf } from "../../frame/defaults.js";
import { indexOf, parentsOf, isAttached } from "../../frame/frame-index.js";
import { plainName } from "../../frame/names.js";
import { nodeAt } from "../../frame/nodes.js";
import { unwrapping } from "../mends.js";
import type { Rule } from "../rule.js";

/** Finds stacks in a stack that hold one thing and change nothing. */
export const loneChild: Rule = {
  code: "lone-child",
  group: "structure",
  severity: "hint",
  suffers: "Nothing. Whoever reads the structure looks through one box more.",
  why: "A stack within a stack that holds one thing and opens like any other adds a level and no behaviour.",
  find: ({ frame }) =>
    indexOf(frame).ids.flatMap((node) => {
      const stack = nodeAt(frame, node);
      const holder = parentsOf(frame, node)[0];
      if (stack.kind !== "stack" || holder === undefined || !isAttached(frame, node)) return [];
      if (nodeAt(frame, holder).kind !== "stack" || childrenOf(stack).length !== 1) return [];
      const isPlain = !stack.opens && !stack.vary && !stack.needs && !stack.within && stack.base === undefined;
      if (!isPlain) return [];
      return [
        { node, says: `${plainName(frame, node)} holds one thing and adds nothing`, mends: unwrapping(frame, node) },
      ];
    }),
};
