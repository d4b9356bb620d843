import { bandsOf } from "../../frame/defaults.js";
import { indexOf } from "../../frame/frame-index.js";
import { plainName } from "../../frame/names.js";
import { sizeOf } from "../../frame/sizes.js";
import { tabsOf } from "../../frame/tabs.js";
import { leastTarget } from "../../arrange/covered.js";
import { launchFacts } from "../launch-facts.js";
import type { Found, Rule } from "../rule.js";

/** The narrowest phone there is to care for, CSS px. */
const narrowestPhone = 320;

/** Finds bars and strips whose parts are too small to be tapped (WCAG 2.2, 2.5.8). */
export const smallTarget: Rule = {
  code: "small-target",
  group: "sizes",
  severity: "doubt",
  suffers: "They tap beside it.",
  why: "What is touched is at least 24 by 24 CSS px (WCAG 2.2, 2.5.8).",
  find: ({ frame, views }) => {
    const facts = launchFacts(frame);
    return views.flatMap((view): Found[] => {
      const { lens } = view;
      const { theme } = lens.app;
      const width = Math.max(narrowestPhone, bandsOf(frame).find((band) => band.id === view.band)?.from ?? 0);
      const strip: Found[] =
        sizeOf(theme, "header") < leastTarget
          ? [{ node: null, views: [view], says: `A header strip is ${sizeOf(theme, "header")} px high` }]
          : [];
      const bars = indexOf(frame).ids.flatMap((id): Found[] => {
        if (frame.nodes[id]?.kind !== "hub") return [];
        const { face } = lens.look(id);
        if (face !== "bar" && face !== "top") return [];
        const { tabs, more } = tabsOf(lens, id, face, facts);
        const each = width / Math.max(1, tabs.length + (more.length ? 1 : 0));
        const high = sizeOf(theme, face);
        if (each >= leastTarget && high >= leastTarget) return [];
        const detail = `${Math.round(each)} by ${high} px, where the view is ${width} px wide`;
        return [
          { node: id, key: "limit", views: [view], says: `The tabs of ${plainName(frame, id)} are too small`, detail },
        ];
      });
      return [...strip, ...bars];
    });
  },
};
