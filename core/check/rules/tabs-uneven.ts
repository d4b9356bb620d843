import { childrenOf } from "../../frame/defaults.js";
import { indexOf } from "../../frame/frame-index.js";
import { plainName } from "../../frame/names.js";
import { list } from "../../says/words.js";
import type { Rule } from "../rule.js";

/** Finds hubs in which some tabs have an icon and others none. */
export const tabsUneven: Rule = {
  code: "tabs-uneven",
  group: "bars",
  severity: "doubt",
  suffers: "One tab looks unlike the others, as if it were something else.",
  why: "Tabs side by side are read as one row. An icon on some of them alone breaks it.",
  find: ({ frame, views }) =>
    views.flatMap((view) =>
      indexOf(frame).ids.flatMap((hub) => {
        const node = frame.nodes[hub];
        if (node?.kind !== "hub" || view.lens.look(hub).face === "none") return [];
        const tabs = childrenOf(node).filter((id) => !frame.nodes[id]?.tab?.hidden);
        const without = tabs.filter((id) => !view.lens.look(id).tab.icon);
        return without.length === 0 || without.length === tabs.length
          ? []
          : [
              {
                node: hub,
                views: [view],
                says: `Some tabs of ${plainName(frame, hub)} have no icon`,
                detail: list(without.map((id) => plainName(frame, id))),
              },
            ];
      }),
    ),
};
