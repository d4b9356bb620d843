import { indexOf, isAttached } from "../../frame/frame-index.js";
import { plainName } from "../../frame/names.js";
import { nodeAt } from "../../frame/nodes.js";
import { patternOf } from "../../frame/pattern.js";
import { list } from "../../says/words.js";
import type { Rule } from "../rule.js";

/** Finds screens that a link opens without a value they want. */
export const wantsMissing: Rule = {
  code: "wants-missing",
  group: "keeping",
  severity: "doubt",
  suffers: "Opened by a link, a screen comes up without what it needs to show.",
  why: "A value that is handed over and stands in no address is not there after a link, nor after the system ended the app.",
  find: ({ frame }) =>
    indexOf(frame).ids.flatMap((id) => {
      const node = nodeAt(frame, id);
      if (node.kind !== "screen" || !node.wants?.length || !isAttached(frame, id) || !patternOf(node)) return [];
      return [
        {
          node: id,
          key: "wants" as const,
          says: `A link to ${plainName(frame, id)} lacks ${list(node.wants)}`,
          detail: "it is handed over by a way in, and stands in no address",
        },
      ];
    }),
};
