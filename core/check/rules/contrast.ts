import { markOf } from "../../frame/sizes.js";
import { colourPairs, coloursOf } from "../../frame/theme.js";
import type { Found, Rule } from "../rule.js";

/** Finds colours of the theme with too little contrast to their background (WCAG 2.2, 1.4.3 and 1.4.11). */
export const contrast: Rule = {
  code: "contrast",
  group: "looks",
  severity: "doubt",
  suffers: "They cannot read it in the sun, or at all.",
  why: "Text wants a contrast of 4.5 to what it stands on, marks and icons 3 (WCAG 2.2, 1.4.3 and 1.4.11).",
  find: ({ views }) =>
    views.flatMap((view): Found[] => {
      const { theme } = view.lens.app;
      return [false, true].flatMap((isDark) =>
        colourPairs(coloursOf(theme, isDark), markOf(theme))
          .filter(({ enough }) => !enough)
          .map(({ says, ratio, wants }) => ({
            node: null,
            views: [view],
            severity: ratio < 3 ? ("fault" as const) : ("doubt" as const),
            says: `Too little contrast: ${says}, in the ${isDark ? "dark" : "light"} theme`,
            detail: `${ratio.toFixed(2)}, and ${wants} is wanted`,
          })),
      );
    }),
};
