import type { Motion } from "../../frame/parts.js";
import { bareOf, lastingOf, measure } from "../../motion/measure.js";
import { sample } from "../../motion/sample.js";
import type { Toward } from "../../motion/shape.js";
import { verdictsOf } from "../../tuning/verdicts.js";
import { byEdit, thatGo } from "../mends.js";
import { motionsUsed, motionWords } from "../motions-used.js";
import type { Found, Rule } from "../rule.js";

/** So much of what lies behind shows as a flash, a share of the region, for so long, ms. */
const shows = 0.15;
const long = 30;
/** Moments looked at are so far apart, ms; those that are looked at first, so that nothing so long is missed. */
const apart = 2;
const apartFirst = 14;

/** For how long more of the background shows than goes unseen, ms, looked at moments so far apart. */
const bareFor = (motion: Motion, toward: Toward, step: number): number => {
  const { ms } = lastingOf(motion, toward);
  let longest = 0;
  let now = 0;
  for (let at = 0; at <= ms; at += step) {
    now = bareOf(sample(motion, toward, at)) > shows ? now + step : 0;
    longest = Math.max(longest, now);
  }
  return longest;
};

/** Finds motions through which the background shows. */
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
        if (bareFor(motion, toward, apartFirst) === 0) return [];
        const ms = bareFor(motion, toward, apart);
        if (ms <= long) return [];
        const { bare } = measure(motion, toward);
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
