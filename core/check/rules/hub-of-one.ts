import { childrenOf } from "../../frame/defaults.js";
import { indexOf, isAttached } from "../../frame/frame-index.js";
import { plainName } from "../../frame/names.js";
import type { Rule } from "../rule.js";
import { unwrapping } from "../mends.js";

/** Finds hubs with one child. */
export const hubOfOne: Rule = {
  code: "hub-of-one",
  group: "bars",
  severity: "doubt",
  suffers: "A bar takes room and offers nothing to choose.",
  why: "A hub is a choice between siblings. One child is none.",
  find: ({ frame }) =>
    indexOf(frame).ids.flatMap((node) => {
      const hub = frame.nodes[node];
      return hub?.kind === "hub" && isAttached(frame, node) && childrenOf(hub).length === 1
        ? [{ node, says: `${plainName(frame, node)} has one tab`, mends: unwrapping(frame, node) }]
        : [];
    }),
};
