import { plainName } from "../../frame/names.js";
import { list } from "../../says/words.js";
import { startOf } from "../../frame/defaults.js";
import { placesOf } from "../../frame/frame-index.js";
import { nodeAt } from "../../frame/nodes.js";
import type { Id } from "../../frame/parts.js";
import type { CheckedView, Rule } from "../rule.js";

/** Whether a screen is pushed in a stack of its own tab: what lies over others, or beside a hub, goes back to whatever is beneath. */
const isPushedInOneStack = ({ lens }: CheckedView, id: Id): boolean => {
  const { frame } = lens;
  const places = placesOf(frame, id);
  const holder = places[0] === undefined ? undefined : nodeAt(frame, places[0]);
  if (places.length !== 1 || holder?.kind !== "stack" || startOf(holder) === id) return false;
  return lens.look(id).opens === "push" && !holder.children.some((other) => frame.nodes[other]?.kind === "hub");
};

/** Finds screens from which Back leads elsewhere, depending on the way in. */
export const backDiffers: Rule = {
  code: "back-differs",
  group: "back",
  severity: "hint",
  suffers: "Back from the same screen leads elsewhere, depending on how they came.",
  why: "Often it is meant so. It is worth knowing, as it is what a tester taps through last.",
  needsWalk: true,
  find: ({ frame, views }) =>
    views.flatMap((view) =>
      Object.entries(view.walk?.backTo ?? {}).flatMap(([node, tops]) =>
        tops.length < 2 || !isPushedInOneStack(view, node)
          ? []
          : [
              {
                node,
                views: [view],
                says: `Back from ${plainName(frame, node)} depends on the way in`,
                detail: `it leads to ${list(tops.map((top) => plainName(frame, top)))}`,
              },
            ],
      ),
    ),
};
