import { contradictionsOf } from "../../tuning/directions.js";
import { byEdit, thatGo } from "../mends.js";
import { motionsUsed, motionWords } from "../motions-used.js";
import type { Found, Rule } from "../rule.js";

/** Finds motions whose way back is not the mirror of the way there. */
export const motionDirections: Rule = {
  code: "motion-directions",
  group: "motion",
  severity: "doubt",
  suffers: "What comes from one side goes to the other, and they lose where things are.",
  why: "A direction tells where a screen lies. The way back that is not the mirror of the way there says that it lies elsewhere.",
  find: (checked) =>
    motionsUsed(checked).flatMap((used): Found[] =>
      contradictionsOf(used.motion, used.kind, used.edge).map(({ says, mend, mended }) => ({
        node: used.move.node,
        key: "motion",
        views: used.views,
        says: `${used.motion.name} contradicts itself`,
        detail: `${says} ${motionWords(used, checked)}`,
        mends: thatGo(checked.frame, [
          byEdit(
            { label: mend, says: "there and back agree" },
            { kind: "setFrame", key: "motions", value: { ...checked.frame.motions, [used.id]: mended } },
          ),
        ]),
      })),
    ),
};
