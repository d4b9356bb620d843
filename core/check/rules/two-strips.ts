import { plainName } from "../../frame/names.js";
import { parentsOf } from "../../frame/frame-index.js";
import type { Id } from "../../frame/parts.js";
import type { Frame } from "../../frame/types.js";
import { propertyEdit } from "../../edit/property-edit.js";
import { together } from "../../edit/together.js";
import { list } from "../../says/words.js";
import { byEdit, setting, thatGo } from "../mends.js";
import type { CheckedView, Mend, Rule } from "../rule.js";
import { seenWhileWalking } from "../walked.js";

/** The hubs around a node that draw a strip of their own in a view, the innermost first. */
const hubsWithStrip = (frame: Frame, { lens }: CheckedView, id: Id): Id[] => {
  const found: Id[] = [];
  for (let at: Id | undefined = id; at !== undefined; at = parentsOf(frame, at)[0])
    if (frame.nodes[at]?.kind === "hub" && lens.look(at).strip) found.push(at);
  return found;
};

/** Finds screens under two headers. */
export const twoStrips: Rule = {
  code: "two-strips",
  group: "bars",
  severity: "fault",
  suffers: "Two headers stand one over the other, each with its own Back.",
  why: "The room for content shrinks, and nobody knows which of the two goes back to where.",
  needsWalk: true,
  find: (checked) => {
    const { frame } = checked;
    return seenWhileWalking(checked, "strips", ({ node }, view) => {
      if (node === null) return null;
      const hubs = hubsWithStrip(frame, view, node);
      const [hub] = hubs;
      const names = list(hubs.map((id) => plainName(frame, id)));
      const mends: (Mend | null)[] = [
        hub === undefined
          ? null
          : byEdit(
              {
                label: `${names} draw${hubs.length > 1 ? "" : "s"} no strip`,
                says: "the strip of each of its screens is left",
              },
              together(hubs.map((id) => propertyEdit(frame, id, "strip", undefined))),
            ),
        setting(frame, node, "header", "off", {
          label: "Leave its own strip out",
          says: "the outer strip is left, with the title of its tab",
        }),
      ];
      return {
        node,
        key: "header",
        says: `Two strips stand over ${plainName(frame, node)}`,
        detail: hub === undefined ? "" : `one is that of ${names}`,
        mends: thatGo(frame, mends),
      };
    });
  },
};
