import { hasEdgeSwipe } from "../../frame/defaults.js";
import { indexOf, parentsOf, isAttached } from "../../frame/frame-index.js";
import { plainName } from "../../frame/names.js";
import { targetIn } from "../../frame/view.js";
import { setting, thatGo } from "../mends.js";
import type { Found, Rule } from "../rule.js";

/** Finds drawers at the edge that a swipe back begins at. */
export const edgeTwice: Rule = {
  code: "edge-twice",
  group: "sizes",
  severity: "hint",
  suffers: "They swipe to go back, and a drawer comes.",
  why: "On this target a swipe from the start edge goes back. A drawer at the same edge is pulled out by the same swipe.",
  find: ({ frame, views }) =>
    views.flatMap((view) =>
      indexOf(frame).ids.flatMap((id): Found[] => {
        const { lens } = view;
        if (frame.nodes[id]?.kind !== "hub" || !isAttached(frame, id) || !hasEdgeSwipe(targetIn(frame, view.view)))
          return [];
        if (lens.look(id).face !== "drawer" || lens.look(id).faceEdge !== "start") return [];
        // at the bottom of the root nothing lies beneath it that a swipe would go back to
        const holder = parentsOf(frame, id)[0];
        const isFirst = holder === frame.root;
        const inTabs = indexOf(frame).ids.some(
          (other) => frame.nodes[other]?.kind === "stack" && parentsOf(frame, other).includes(id),
        );
        if (isFirst && !inTabs) return [];
        return [
          {
            node: id,
            key: "faceEdge",
            views: [view],
            says: `The drawer of ${plainName(frame, id)} opens from the edge that goes back`,
            mends: thatGo(frame, [
              setting(frame, id, "faceEdge", "end", {
                label: "Put it at the end",
                says: "the drawer comes from the other edge",
              }),
            ]),
          },
        ];
      }),
    ),
};
