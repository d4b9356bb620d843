import type { Motion } from "../../frame/parts.js";
import { measure } from "../../motion/measure.js";
import { bareOf } from "../../motion/measure.js";
import { sample } from "../../motion/sample.js";
import type { Toward } from "../../motion/shape.js";
import { verdictsOf } from "../../tuning/verdicts.js";
import { byEdit, thatGo } from "../mends.js";
import { motionsUsed, motionWords } from "../motions-used.js";
import type { Found, Rule } from "../rule.js";

/** So much of what lies behind shows as a flash, a share of the region, for so long, ms. */
const shows = 0.15;
const long = 30;
/** Moments looked at are so far apart, ms. */
const apart = 2;

/** For how long more of the background shows than goes unseen, ms. */
const bareFor = (motion: Motion, toward: Toward): number => {
  const { ms } = measure(motion, toward);
  let longest = 0;
  let now = 0;
  for (let at = 0; at <= ms; at += apart) {
    now = bareOf(sample(motion, toward, at)) > shows ? now + apart : 0;
    longest = Math.max(longest, now);
  }
  return longest;
};

export const motionBare: Rule = {
  code: "motion-bare",
  group: "motion",
  severity: "doubt",
  suffers: "The screen flashes as they go from one to the next.",
  why: "For a moment neither of the two screens covers what lies behind them.",
  find: (checked) =>
    motionsUsed(checked).flatMap((used): Found[] => {
      const { motion, id, kind, views, move } = used;
      return (["forward", "back"] as const).flatMap((toward): Found[] => {
        const { bare } = measure(motion, toward);
        const ms = bare.share > shows ? bareFor(motion, toward) : 0;
        if (ms <= long) return [];
        const mend = verdictsOf(motion, toward, kind).find((verdict) => verdict.of === "bare")?.mend;
        const value = { ...checked.frame.motions, [id]: mend?.motion };
        return [
          {
            node: move.node,
            key: "motion",
            views,
            says: `The background shows for ${ms} ms in ${motion.name}${toward === "back" ? ", on the way back" : ""}`,
            detail: `${motionWords(used, checked)}: ${Math.round(bare.share * 100)} % of it at ${Math.round(bare.at)} ms`,
            mends: thatGo(checked.frame, [
              mend
                ? byEdit(
                    {
                      label: mend.says.replace(/^./, (letter) => letter.toUpperCase()),
                      says: "the background stays covered",
                    },
                    { kind: "setFrame", key: "motions", value },
                  )
                : null,
            ]),
          },
        ];
      });
    }),
};
