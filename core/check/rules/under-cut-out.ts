import { arrange, type Region } from "../../arrange/arrange.js";
import { common } from "../../arrange/box.js";
import { openedAt } from "../../explore/standpoint.js";
import { targetsOf } from "../../frame/defaults.js";
import { indexOf } from "../../frame/frame-index.js";
import { heldIn, lensOf } from "../../frame/look.js";
import { plainName } from "../../frame/names.js";
import { nodeAt } from "../../frame/nodes.js";
import type { Id } from "../../frame/parts.js";
import { sure } from "../../frame/sure.js";
import type { Frame } from "../../frame/types.js";
import { type View, viewOf } from "../../frame/view.js";
import { devicePreset } from "../../sizes/devices.js";
import { setting, thatGo } from "../mends.js";
import type { Found, Rule } from "../rule.js";

/** What holds things to be touched, and is laid out clear of nothing but the device's own strips. */
const touched: Partial<Record<Region["role"], string>> = { header: "strip", bar: "bar", top: "tabs", rail: "rail" };

/** Phones with a hole in the screen. */
const phones = [
  ["phone", "a phone"],
  ["phoneTurned", "a turned phone"],
] as const;

/** What of a screen lies under the hole of a view's screen, in words; null where nothing does. */
const underCut = (frame: Frame, view: View, id: Id): string | null => {
  const [hole] = view.cuts ?? [];
  const under = arrange(frame, openedAt(frame, view, id), view).find(
    (region) => !region.inert && touched[region.role] !== undefined && hole && common(region, hole) !== null,
  );
  return under ? (touched[under.role] ?? null) : null;
};

/** Finds headers, bars and rails that a hole in the screen covers. */
export const underCutOut: Rule = {
  code: "under-cut-out",
  group: "sizes",
  severity: "hint",
  suffers: "A button or half a title lies under the camera, and cannot be tapped or read.",
  why: "Where the device's own strips are hidden, the app has the whole screen, and the hole in it too. Pictures bear that; strips and bars do not.",
  find: ({ frame }) =>
    targetsOf(frame).flatMap(({ id: target }) =>
      phones.flatMap(([preset, called]) => {
        const { width, height, insets, cuts = [] } = sure(devicePreset(preset), "a phone");
        const view = viewOf(frame, { width, height, insets, target, cuts });
        const lens = lensOf(frame, view);
        return [...indexOf(frame).ways.keys()].flatMap((holder) => {
          const node = nodeAt(frame, holder);
          const children: readonly Id[] = "children" in node ? node.children : [];
          return children.flatMap((id): Found[] => {
            if (frame.nodes[id]?.kind !== "screen" || heldIn(lens, id, holder, "system") !== "hide") return [];
            const what = underCut(frame, view, id);
            if (what === null) return [];
            return [
              {
                node: id,
                key: "system",
                says: `The ${what} of ${plainName(frame, id)} lies under the camera of ${called}`,
                detail: "the device's own strips, which would keep it clear, are hidden",
                mends: thatGo(frame, [
                  setting(frame, id, "system", "keep", {
                    label: "Keep the device's strips",
                    says: "the clock stands above it again, and nothing lies under the camera",
                  }),
                ]),
              },
            ];
          });
        });
      }),
    ),
};
