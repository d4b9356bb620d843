import { placesOf } from "../../frame/frame-index.js";
import { startOf } from "../../frame/defaults.js";
import { nodeAt } from "../../frame/nodes.js";
import { plainName } from "../../frame/names.js";
import { setting, thatGo } from "../mends.js";
import type { Rule } from "../rule.js";

/** Finds screens that a cold link opens with nothing beneath them. */
export const coldNoWayBack: Rule = {
  code: "cold-no-way-back",
  group: "links",
  severity: "doubt",
  suffers: "They open a link, read, go back, and are out of the app.",
  why: "Opened by a link, a screen has beneath it what its stack lays there. A stack that lays nothing leaves them at the door.",
  needsWalk: true,
  find: ({ frame, views }) =>
    views.flatMap((view) =>
      (view.walk?.seen ?? []).flatMap(({ what, node, taps, beginning, events }) => {
        if (what !== "leaves" || node === null || taps > 0 || beginning.url === null || events.length > 1) return [];
        const stack = placesOf(frame, node)[0];
        const holder = stack === undefined ? undefined : nodeAt(frame, stack);
        if (stack === undefined || holder?.kind !== "stack" || holder.base !== null) return [];
        if (startOf(holder) === node) return [];
        return [
          {
            node,
            key: "base" as const,
            views: [view],
            show: { beginning, events, where: { target: view.target, band: view.band } },
            says: `A link to ${plainName(frame, node)} lays nothing beneath it`,
            detail: `${plainName(frame, stack)} lays no first screen`,
            mends: thatGo(frame, [
              setting(frame, stack, "base", undefined, {
                label: "Lay the start",
                says: `Back from a link leads to ${plainName(frame, startOf(holder) ?? stack)}`,
              }),
            ]),
          },
        ];
      }),
    ),
};
