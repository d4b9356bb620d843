import { indexOf } from "../../frame/frame-index.js";
import { heldIn } from "../../frame/look.js";
import { plainName } from "../../frame/names.js";
import type { Id } from "../../frame/parts.js";
import { setting, thatGo } from "../mends.js";
import type { Found, Rule } from "../rule.js";

export const floatingCovers: Rule = {
  code: "floating-covers",
  group: "sizes",
  severity: "doubt",
  suffers: "A button lies under the bar, and they cannot tap it.",
  why: "A bar that floats leaves the content its room, and lies over what stands at its foot.",
  find: ({ frame, views }) =>
    views.flatMap((view) =>
      [...indexOf(frame).ways].flatMap(([holder, way]): Found[] => {
        const { lens } = view;
        const hub = way.findLast((id) => frame.nodes[id]?.kind === "hub");
        if (hub === undefined || !lens.look(hub).floating || lens.look(hub).face !== "bar") return [];
        const node = frame.nodes[holder];
        const children: readonly Id[] = node && "children" in node ? node.children : [];
        return children.flatMap((id): Found[] => {
          const screen = frame.nodes[id];
          if (screen?.kind !== "screen" || !screen.actions?.some(({ place }) => place === "footer")) return [];
          if (lens.look(id).opens !== "push" || heldIn(lens, id, holder, "bars") === "hide") return [];
          return [
            {
              node: id,
              key: "bars",
              views: [view],
              says: `The footer of ${plainName(frame, id)} lies under a floating bar`,
              detail: `that of ${plainName(frame, hub)}`,
              mends: thatGo(frame, [
                setting(frame, id, "bars", "hide", {
                  label: "Hide the bar here",
                  says: "the bar is gone on this screen",
                }),
              ]),
            },
          ];
        });
      }),
    ),
};
