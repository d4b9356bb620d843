import { childrenOf } from "../../frame/defaults.js";
import { indexOf, parentsOf, isAttached } from "../../frame/frame-index.js";
import { plainName } from "../../frame/names.js";
import { nodeAt } from "../../frame/nodes.js";
import { unwrap } from "../../change/unwrap.js";
import { byEdit, thatGo } from "../mends.js";
import type { Frame } from "../../frame/types.js";
import type { Id } from "../../frame/parts.js";
import type { Mend, Rule } from "../rule.js";

/** A mend that takes a container away and leaves what it holds. */
export const unwrapping = (frame: Frame, id: Id): Mend[] => {
  const parent = parentsOf(frame, id)[0];
  const result = parent === undefined ? null : unwrap.plan(frame, [{ id, parent }]);
  if (!result?.ok) return [];
  const told = { label: `Unwrap ${plainName(frame, id)}`, says: "what it holds stands in its place" };
  return thatGo(frame, [byEdit(told, result.planned.edit)]);
};

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
