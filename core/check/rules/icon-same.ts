import { plainName } from "../../frame/names.js";
import { thatGo, byEdit } from "../mends.js";
import type { Rule } from "../rule.js";

/** Finds tabs whose active icon is their icon at rest. */
export const iconSame: Rule = {
  code: "icon-same",
  group: "bars",
  severity: "hint",
  suffers: "The chosen tab looks like the others but for its colour.",
  why: "Colour alone is not seen by everyone (WCAG 2.2, 1.4.1). Without an active icon of its own a tab takes the filled one.",
  find: ({ frame }) =>
    Object.entries(frame.nodes).flatMap(([node, { tab }]) => {
      if (!tab?.activeIcon || tab.activeIcon !== tab.icon) return [];
      const { activeIcon: _, ...rest } = tab;
      return [
        {
          node,
          key: "tab" as const,
          says: `${plainName(frame, node)} has the same icon when it is chosen`,
          mends: thatGo(frame, [
            byEdit(
              { label: "Take the filled one", says: "chosen, its icon is filled" },
              { kind: "set", node, key: "tab", value: rest },
            ),
          ]),
        },
      ];
    }),
};
