import { arrange } from "../../arrange/arrange.js";
import { bandsOf, targetsOf } from "../../frame/defaults.js";
import { indexOf, isAttached } from "../../frame/frame-index.js";
import { lensOf } from "../../frame/look.js";
import { plainName } from "../../frame/names.js";
import type { Id } from "../../frame/parts.js";
import type { Frame } from "../../frame/types.js";
import { openedAt } from "../../explore/standpoint.js";
import { variedEdit } from "../../edit/property-edit.js";
import { viewInBand } from "../../walk/classes.js";
import { byEdit, thatGo } from "../mends.js";
import type { Found, Rule, Where } from "../rule.js";

/** A pane narrower than this holds no line of text, CSS px. */
const narrowest = 280;

/** The narrowest phone there is to care for, CSS px. */
const narrowestPhone = 320;

/** The narrower pane of a pair that stands side by side, where its band begins, px; null where it does not. */
const narrowerPane = (frame: Frame, id: Id, { target, band }: Where): number | null => {
  const pair = frame.nodes[id];
  const usual = viewInBand(frame, target, band);
  if (pair?.kind !== "pair" || !pair.detail || !lensOf(frame, usual).look(id).split) return null;
  const width = Math.max(narrowestPhone, bandsOf(frame).find((each) => each.id === band)?.from ?? 0);
  const view = { ...usual, width };
  const panes = arrange(frame, openedAt(frame, view, pair.detail), view).filter(({ pane }) => pane?.pair === id);
  return panes.length < 2 ? null : Math.min(...panes.map((pane) => pane.width));
};

/** Finds split pairs with a pane too narrow to read. */
export const narrowPane: Rule = {
  code: "narrow-pane",
  group: "sizes",
  severity: "doubt",
  suffers: "Side by side, one of two panes is too narrow to read.",
  why: "A pane under 280 px breaks lines after a few words. In that width one over the other reads better.",
  find: ({ frame }) =>
    indexOf(frame).ids.flatMap((id): Found[] => {
      if (frame.nodes[id]?.kind !== "pair" || !isAttached(frame, id)) return [];
      const everywhere = targetsOf(frame).flatMap((target) =>
        bandsOf(frame).map((band): Where => ({ target: target.id, band: band.id })),
      );
      const narrow = everywhere.flatMap((where) => {
        const least = narrowerPane(frame, id, where);
        return least !== null && least < narrowest ? [{ where, least }] : [];
      });
      if (narrow.length === 0) return [];
      const where = narrow.map((each) => each.where);
      return [
        {
          node: id,
          key: "split",
          where,
          says: `A pane of ${plainName(frame, id)} is ${Math.round(Math.min(...narrow.map(({ least }) => least)))} px wide`,
          detail: "where the band begins",
          mends: thatGo(frame, [
            byEdit(
              { label: "One over the other there", says: "Back leads from the detail to the list" },
              variedEdit(id, "split", where, false),
            ),
          ]),
        },
      ];
    }),
};
