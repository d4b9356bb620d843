import { plainName } from "../../frame/names.js";
import type { Rule } from "../rule.js";

/** Finds screens that are laid one on another each time a person goes round. */
export const grows: Rule = {
  code: "grows",
  group: "structure",
  severity: "hint",
  suffers: "After some tapping round, Back takes as many steps as they have gone.",
  why: "Screens that lead to each other are laid one on another each time round. Where that is not meant, one of them opens with `replace` or goes to the first of its stack.",
  needsWalk: true,
  find: ({ frame, views }) =>
    views.flatMap((view) =>
      (view.walk?.bounds.beyond ?? []).map(({ node, why }) => ({
        node,
        views: [view],
        says:
          why === "alike"
            ? `${plainName(frame, node)} is laid on itself again and again`
            : `What is handed to ${plainName(frame, node)} grows without end`,
      })),
    ),
};
