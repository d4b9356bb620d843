import { indexOf, isAttached } from "../../frame/frame-index.js";
import { plainName } from "../../frame/names.js";
import { needsAbove, needWords, standsInFor } from "../../frame/needs.js";
import type { Rule } from "../rule.js";

/** Finds sign-in screens, and others that replace an unmet need, with a need themselves. */
export const standInNeeds: Rule = {
  code: "stand-in-needs",
  group: "links",
  severity: "doubt",
  suffers: "Sent to a screen that is to let them in, they are sent on again.",
  why: "What stands in where a need is not met is for those who lack something. If it needs something itself, some of them do not come to it.",
  find: ({ frame }) =>
    indexOf(frame).ids.flatMap((id) => {
      const stands = isAttached(frame, id) ? standsInFor(frame, id) : [];
      if (stands.length === 0) return [];
      // a need for the other value of the same fact holds wherever it stands in
      const own = needsAbove(frame, id).filter(
        ({ need }) => !stands.every(({ need: other }) => other.fact === need.fact),
      );
      const [first] = own;
      return first
        ? [
            {
              node: id,
              key: "needs" as const,
              says: `${plainName(frame, id)} stands in for others, and needs something itself`,
              detail: needWords(frame, first.need),
            },
          ]
        : [];
    }),
};
