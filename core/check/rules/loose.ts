import { indexOf } from "../../frame/frame-index.js";
import { plainName } from "../../frame/names.js";
import { byEdit, thatGo } from "../mends.js";
import type { Rule } from "../rule.js";

/** Finds nodes without a container. */
export const loose: Rule = {
  code: "loose",
  group: "structure",
  severity: "doubt",
  suffers: "They never see it: it stands nowhere in the app.",
  why: "A node that stands in no container cannot be opened by anything.",
  find: ({ frame }) =>
    indexOf(frame).loose.map((node) => ({
      node,
      says: `${plainName(frame, node)} stands in no container`,
      mends: thatGo(frame, [
        byEdit(
          { label: "Delete it", says: "it is taken out, with all that leads to it" },
          { kind: "remove", id: node },
        ),
      ]),
    })),
};
