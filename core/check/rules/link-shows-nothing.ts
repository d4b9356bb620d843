import { indexOf, isAttached } from "../../frame/frame-index.js";
import { plainName } from "../../frame/names.js";
import { needsAbove, needWords } from "../../frame/needs.js";
import { nodeAt } from "../../frame/nodes.js";
import { patternOf } from "../../frame/pattern.js";
import type { Rule } from "../rule.js";

/** Finds addresses of screens whose unmet need names nothing in their place. */
export const linkShowsNothing: Rule = {
  code: "link-shows-nothing",
  group: "links",
  severity: "doubt",
  suffers: "They follow a link, and come to the start of the app without a word.",
  why: "A link to a screen whose need is not met, and that names nothing in its place, is refused.",
  find: ({ frame }) =>
    indexOf(frame).ids.flatMap((id) => {
      const node = nodeAt(frame, id);
      if (node.kind !== "screen" || !isAttached(frame, id) || !patternOf(node)) return [];
      const lacking = needsAbove(frame, id).find(({ need }) => need.otherwise === undefined);
      if (!lacking) return [];
      return [
        {
          node: id,
          key: "needs" as const,
          says: `A link to ${plainName(frame, id)} shows nothing of it to those who lack what it needs`,
          detail: `${needWords(frame, lacking.need)} is needed by ${plainName(frame, lacking.id)}, and nothing stands in`,
        },
      ];
    }),
};
