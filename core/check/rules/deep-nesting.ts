import { indexOf } from "../../frame/frame-index.js";
import { plainName } from "../../frame/names.js";
import { list } from "../../says/words.js";
import type { Rule } from "../rule.js";

/** Containers within one another, the root left aside. */
const most = 4;

export const deepNesting: Rule = {
  code: "deep-nesting",
  group: "structure",
  severity: "hint",
  suffers: "They lose track of where Back leads.",
  why: "Each container within another is one more place that Back may answer from. Three levels under the root are as many as people follow.",
  find: ({ frame }) =>
    [...indexOf(frame).ways].flatMap(([node, way]) =>
      way.length === most + 1
        ? [
            {
              node,
              says: `${plainName(frame, node)} is nested ${most} deep`,
              detail: `in ${list(way.slice(1, -1).map((id) => plainName(frame, id)))}`,
            },
          ]
        : [],
    ),
};
