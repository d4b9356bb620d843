import { lastingOf } from "../../motion/measure.js";
import { motionsUsed, motionWords } from "../motions-used.js";
import type { Found, Rule } from "../rule.js";

/** Longer is waited for, shorter is not seen, ms. */
const longest = 500;
const shortest = 80;

/** Finds motions that are too long to wait for, or too short to be seen. */
export const motionLong: Rule = {
  code: "motion-length",
  group: "motion",
  severity: "hint",
  suffers: "They wait for a screen to arrive, or miss that anything moved.",
  why: "A move longer than half a second is waited for each time. One shorter than 80 ms is not seen as a movement.",
  find: (checked) =>
    motionsUsed(checked).flatMap((used): Found[] => {
      const { ms, settle } = lastingOf(used.motion);
      const whole = Math.max(ms, settle);
      if (whole === 0 || (whole >= shortest && whole <= longest)) return [];
      return [
        {
          node: used.move.node,
          key: "motion",
          views: used.views,
          says: `${used.motion.name} takes ${Math.round(whole)} ms: ${whole > longest ? "it is waited for" : "it is not seen"}`,
          detail: motionWords(used, checked),
        },
      ];
    }),
};
