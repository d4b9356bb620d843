import { arrange } from "../../arrange/arrange.js";
import { bandsOf } from "../../frame/defaults.js";
import { indexOf, isAttached } from "../../frame/frame-index.js";
import { plainName } from "../../frame/names.js";
import { openedAt } from "../../explore/standpoint.js";
import { variedEdit } from "../../edit/property-edit.js";
import { removing, thatGo } from "../mends.js";
import type { Found, Rule } from "../rule.js";

/** A pane narrower than this holds no line of text, CSS px. */
const narrowest = 280;

/** The narrowest phone there is to care for, CSS px. */
const narrowestPhone = 320;

export const narrowPane: Rule = {
  code: "narrow-pane",
  group: "sizes",
  severity: "doubt",
  suffers: "Side by side, one of two panes is too narrow to read.",
  why: "A pane under 280 px breaks lines after a few words. In that width one over the other reads better.",
  find: ({ frame, views }) =>
    views.flatMap((view) =>
      indexOf(frame).ids.flatMap((id): Found[] => {
        const pair = frame.nodes[id];
        if (pair?.kind !== "pair" || !pair.detail || !isAttached(frame, id) || !view.lens.look(id).split) return [];
        const width = Math.max(narrowestPhone, bandsOf(frame).find((band) => band.id === view.band)?.from ?? 0);
        const narrow = { ...view.view, width };
        const regions = arrange(frame, openedAt(frame, narrow, pair.detail), narrow);
        const panes = regions.filter(({ pane }) => pane?.pair === id);
        const least = Math.min(...panes.map((pane) => pane.width));
        if (panes.length < 2 || least >= narrowest) return [];
        const cells = [{ target: view.target, band: view.band }];
        return [
          {
            node: id,
            key: "split",
            views: [view],
            says: `A pane of ${plainName(frame, id)} is ${Math.round(least)} px wide`,
            detail: `where the view is ${width} px`,
            mends: thatGo(frame, [
              removing(
                { label: "One over the other there", says: "Back leads from the detail to the list" },
                variedEdit(id, "split", cells, false),
              ),
            ]),
          },
        ];
      }),
    ),
};
