import { motionAt } from "../../frame/built-in-motions.js";
import { byEdit, thatGo } from "../mends.js";
import type { Found, Rule } from "../rule.js";

/** What moves: a place, a size or a turn. */
const moving = new Set(["x", "y", "scale", "turn"]);

/** Finds a reduced motion that moves, scales or turns something. */
export const calmMoves: Rule = {
  code: "calm-moves",
  group: "motion",
  severity: "fault",
  suffers: "They asked for reduced motion, as it makes them sick, and things move.",
  why: "The motion under reduced motion fades or does nothing (WCAG 2.2, 2.3.3): no place, size or turn changes.",
  find: ({ frame, views }) =>
    views.flatMap((view): Found[] => {
      const { calm } = view.lens.app;
      const motion = calm === null ? undefined : motionAt(frame, calm);
      const shapes = motion ? [motion.forward, ...(motion.back === "mirror" ? [] : [motion.back])] : [];
      const tracks = shapes.flatMap(({ incoming, outgoing }) => [...incoming, ...outgoing]);
      if (!motion || !tracks.some(({ property }) => moving.has(property))) return [];
      return [
        {
          node: null,
          views: [view],
          says: `Under reduced motion ${motion.name} still moves`,
          mends: thatGo(frame, [
            byEdit(
              { label: "Take the plain one", says: "screens change by a short fade" },
              { kind: "setFrame", key: "calm" },
            ),
          ]),
        },
      ];
    }),
};
