import { arrange } from "../../arrange/arrange.js";
import { common } from "../../arrange/box.js";
import { applyEdit } from "../../edit/apply.js";
import { openedAt } from "../../explore/standpoint.js";
import { indexOf } from "../../frame/frame-index.js";
import { lensOf } from "../../frame/look.js";
import { plainName } from "../../frame/names.js";
import type { Id } from "../../frame/parts.js";
import type { Frame } from "../../frame/types.js";
import type { View } from "../../frame/view.js";
import { setting, thatGo } from "../mends.js";
import type { Found, Mend, Rule } from "../rule.js";

/** The hub whose floating bar lies over the foot of a screen; null where none does. */
const barOver = (frame: Frame, view: View, id: Id): Id | null => {
  const { look } = lensOf(frame, view);
  const regions = arrange(frame, openedAt(frame, view, id), view);
  const at = regions.findIndex(({ role, node, inert }) => role === "content" && node === id && !inert);
  const content = regions[at];
  if (!content) return null;
  const foot = { ...content, y: content.y + content.height - 1, height: 1 };
  const bar = regions
    .slice(at + 1)
    .find((region) => region.role === "bar" && look(region.node).floating && common(region, foot) !== null);
  return bar?.node ?? null;
};

/** What takes the bar from over a screen, where it does. */
const clearing = (frame: Frame, view: View, id: Id, isPushed: boolean): Mend | null => {
  const mend = isPushed
    ? setting(frame, id, "bars", "hide", { label: "Hide the bar here", says: "the bar is gone on this screen" })
    : setting(frame, id, "over", "all", { label: "Cover the bar too", says: "the bar is under it until it is closed" });
  const mended = applyEdit(frame, mend.edit);
  return mended.ok && barOver(mended.frame, view, id) === null ? mend : null;
};

/** Finds buttons at the foot of a screen or sheet that a floating bar covers. */
export const floatingCovers: Rule = {
  code: "floating-covers",
  group: "sizes",
  severity: "doubt",
  suffers: "A button lies under the bar, and they cannot tap it.",
  why: "A bar that floats leaves the content its room, and lies over what stands at its foot: of a screen, and of a sheet that covers its tab alone.",
  find: ({ frame, views }) =>
    views.flatMap((each) => {
      const { view, lens } = each;
      const { ids } = indexOf(frame);
      if (!ids.some((id) => frame.nodes[id]?.kind === "hub" && lens.look(id).floating)) return [];
      return ids.flatMap((id): Found[] => {
        const screen = frame.nodes[id];
        if (screen?.kind !== "screen" || !screen.actions?.some(({ place }) => place === "footer")) return [];
        const hub = barOver(frame, view, id);
        if (hub === null) return [];
        const isPushed = lens.look(id).opens === "push";
        return [
          {
            node: id,
            key: isPushed ? "bars" : "over",
            views: [each],
            says: `The footer of ${plainName(frame, id)} lies under a floating bar`,
            detail: `that of ${plainName(frame, hub)}`,
            mends: thatGo(frame, [clearing(frame, view, id, isPushed)]),
          },
        ];
      });
    }),
};
