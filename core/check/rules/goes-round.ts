import { plainName } from "../../frame/names.js";
import type { Rule } from "../rule.js";
import { seenWhileWalking } from "../walked.js";

/** Finds ladders of Backs that never end. */
export const goesRound: Rule = {
  code: "goes-round",
  group: "back",
  severity: "fault",
  suffers: "Back goes round for ever, and never leaves the app.",
  why: "A ladder of Backs has to end: at the door, or where nothing lies beneath.",
  needsWalk: true,
  find: (checked) =>
    seenWhileWalking(checked, "round", ({ node }) => ({
      node,
      says: `Back goes round from ${node === null ? "here" : plainName(checked.frame, node)}`,
    })),
};
