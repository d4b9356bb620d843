import { indexOf, isAttached } from "../../frame/frame-index.js";
import { plainName } from "../../frame/names.js";
import type { Rule } from "../rule.js";

/** Finds screens that no tap and no address leads to. */
export const unreached: Rule = {
  code: "unreached",
  group: "structure",
  severity: "fault",
  suffers: "They never come to a screen that was made for them.",
  why: "Nothing a person can tap leads there, and no address either, in any size and on any target.",
  needsWalk: true,
  find: ({ frame, views }) => {
    // what a walk that met its bounds did not come to may be beyond them
    if (views.some(({ walk }) => !walk || walk.bounds.isFull)) return [];
    const reached = new Set(views.flatMap(({ walk }) => walk?.screens.map(({ id }) => id) ?? []));
    return indexOf(frame).ids.flatMap((node) =>
      frame.nodes[node]?.kind === "screen" && isAttached(frame, node) && !reached.has(node)
        ? [{ node, says: `Nothing leads to ${plainName(frame, node)}` }]
        : [],
    );
  },
};
