import { plainName } from "../../frame/names.js";
import { screenAt } from "../../frame/nodes.js";
import type { Rule } from "../rule.js";
import { setting, thatGo } from "../mends.js";
import { freeActionId } from "../free-action.js";
import { seenWhileWalking } from "../walked.js";

/** Finds screens that nothing leads back from. */
export const trap: Rule = {
  code: "trap",
  group: "back",
  severity: "fault",
  suffers: "They are stuck on a screen: nothing leads back.",
  why: "Without a system Back, a person goes back by a strip, a swipe from the edge or an action. Where none of these is there, all that is left is to end the app.",
  needsWalk: true,
  find: (checked) => {
    const { frame } = checked;
    return seenWhileWalking(checked, "trap", ({ node }) => {
      if (node === null) return null;
      const { actions = [] } = screenAt(frame, node);
      const close = {
        id: freeActionId(actions, "close"),
        label: "Close",
        place: "body" as const,
        do: { kind: "close" as const },
      };
      return {
        node,
        key: "header",
        says: `Back leads nowhere from ${plainName(frame, node)}`,
        detail: "no strip with a Back, no swipe, and no action that goes back",
        mends: thatGo(frame, [
          setting(frame, node, "header", "on", {
            label: "Give it a strip",
            says: "a strip with a Back stands over it",
          }),
          setting(frame, node, "actions", [...actions, close], {
            label: "Add a close",
            says: "an action Close takes it off",
          }),
        ]),
      };
    });
  },
};
