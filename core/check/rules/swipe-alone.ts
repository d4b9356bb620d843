import { plainName } from "../../frame/names.js";
import { setting, thatGo } from "../mends.js";
import type { Rule } from "../rule.js";
import { seenWhileWalking } from "../walked.js";

/** Finds screens that only a swipe from the edge leaves (WCAG 2.2, 2.5.1). */
export const swipeAlone: Rule = {
  code: "swipe-alone",
  group: "bars",
  severity: "doubt",
  suffers: "They see no way back, and may not know of the swipe.",
  why: "A swipe from the edge is not seen, and cannot be done by everyone (WCAG 2.2, 2.5.1): something on screen should do the same.",
  needsWalk: true,
  find: (checked) =>
    seenWhileWalking(checked, "swipe", ({ node }) =>
      node === null
        ? null
        : {
            node,
            key: "header",
            says: `Only a swipe leads back from ${plainName(checked.frame, node)}`,
            detail: "no strip, and no action that goes back",
            mends: thatGo(checked.frame, [
              setting(checked.frame, node, "header", "on", {
                label: "Give it a strip",
                says: "a strip with a Back stands over it",
              }),
            ]),
          },
    ),
};
