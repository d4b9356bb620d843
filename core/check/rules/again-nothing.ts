import { indexOf } from "../../frame/frame-index.js";
import { plainName } from "../../frame/names.js";
import { setting, thatGo } from "../mends.js";
import type { Rule } from "../rule.js";

/** Finds hubs whose chosen tab does nothing when it is tapped again. */
export const againNothing: Rule = {
  code: "again-nothing",
  group: "back",
  severity: "hint",
  suffers: "They tap the chosen tab to come back to its first screen, and nothing happens.",
  why: "The chosen tab tapped again is what many people go back by.",
  find: ({ frame, views }) =>
    views.flatMap((view) =>
      indexOf(frame).ids.flatMap((node) =>
        frame.nodes[node]?.kind === "hub" &&
        view.lens.look(node).again === "none" &&
        view.lens.look(node).face !== "none"
          ? [
              {
                node,
                key: "again" as const,
                views: [view],
                says: `The chosen tab of ${plainName(frame, node)} does nothing when it is tapped again`,
                mends: thatGo(frame, [
                  setting(frame, node, "again", undefined, {
                    label: "Go to its first screen",
                    says: "tapped again, the tab goes back to its first screen",
                  }),
                ]),
              },
            ]
          : [],
      ),
    ),
};
