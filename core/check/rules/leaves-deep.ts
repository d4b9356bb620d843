import { standsInFor } from "../../frame/needs.js";
import { plainName } from "../../frame/names.js";
import type { Rule } from "../rule.js";
import { seenWhileWalking } from "../walked.js";

/** From so many taps in, a person does not expect to be out by one Back. */
const deep = 2;

/** Finds states in which one Back leaves the app after several taps. */
export const leavesDeep: Rule = {
  code: "leaves-deep",
  group: "back",
  severity: "doubt",
  suffers: "One Back ends the app, though they are in the middle of it.",
  why: "After some taps a person takes Back for a step, not for the door.",
  needsWalk: true,
  find: (checked) =>
    seenWhileWalking(checked, "leaves", ({ node, beginning }, { walk }) => {
      const reached = walk?.screens.find(({ id }) => id === node);
      if (node === null || beginning.url !== null || standsInFor(checked.frame, node).length > 0) return null;
      return !reached || reached.taps < deep || reached.beginning.url !== null
        ? null
        : {
            node,
            says: `Back leaves the app from ${plainName(checked.frame, node)}`,
            detail: `${reached.taps} taps from the start, with nothing beneath it any more`,
          };
    }),
};
