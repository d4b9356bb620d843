import { indexOf, isAttached } from "../../frame/frame-index.js";
import { plainName } from "../../frame/names.js";
import { nodeAt } from "../../frame/nodes.js";
import { patternOf } from "../../frame/pattern.js";
import { setting, thatGo } from "../mends.js";
import type { Rule } from "../rule.js";

/** Finds screens without an address in an app that has addresses. */
export const noAddress: Rule = {
  code: "no-address",
  group: "links",
  severity: "hint",
  suffers: "Nobody can be sent there: no link, no notification, no shortcut leads to it.",
  why: "In an app that listens to links, each place a person may want to come to has an address. Overlays and steps on the way need none.",
  find: ({ frame, views }) => {
    const has = (id: string): boolean => {
      const node = nodeAt(frame, id);
      return node.kind === "screen" && patternOf(node) !== null;
    };
    const { ids } = indexOf(frame);
    if (!ids.some(has)) return [];
    return ids.flatMap((id) => {
      const node = nodeAt(frame, id);
      if (node.kind !== "screen" || !isAttached(frame, id) || has(id) || node.after) return [];
      if (id === frame.address?.lost || node.body?.kind === "form") return [];
      if (views.some(({ lens }) => lens.look(id).opens !== "push")) return [];
      const path = `/${id.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`)}`;
      return [
        {
          node: id,
          key: "path" as const,
          says: `${plainName(frame, id)} has no address`,
          mends: thatGo(frame, [
            setting(frame, id, "path", path, { label: `Give it ${path}`, says: "a link leads to it" }),
          ]),
        },
      ];
    });
  },
};
