import { plainName } from "../../frame/names.js";
import { launchFacts } from "../launch-facts.js";
import type { Rule } from "../rule.js";
import { behindMore } from "./tabs-behind-more.js";

/** Finds tabs with a badge that stand behind More. */
export const badgeBehindMore: Rule = {
  code: "badge-behind-more",
  group: "bars",
  severity: "doubt",
  suffers: "Something waits for them, and they do not see it.",
  why: "A badge calls for a look. Behind More nobody looks.",
  find: ({ frame, views }) => {
    const facts = launchFacts(frame);
    return views.flatMap((view) =>
      behindMore(view, facts).flatMap(({ more }) =>
        more
          .filter((id) => frame.nodes[id]?.tab?.badge !== undefined)
          .map((node) => ({
            node,
            key: "tab" as const,
            views: [view],
            says: `The badge of ${plainName(frame, node)} stands behind More`,
          })),
      ),
    );
  },
};
