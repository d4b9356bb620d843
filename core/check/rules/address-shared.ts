import { addressesOf } from "../../address/addresses.js";
import { shadowsOf } from "../../address/shadows.js";
import { plainName } from "../../frame/names.js";
import type { Rule } from "../rule.js";

/** Finds addresses that two screens match, so that one of them never gets its link. */
export const addressShared: Rule = {
  code: "address-shared",
  group: "links",
  severity: "hint",
  suffers: "A link leads to another screen than the one it was made for.",
  why: "Two patterns match one address. The one with more words wins, so that the other never gets it.",
  find: ({ frame }) =>
    shadowsOf(addressesOf(frame)).map(({ winner, loser, address }) => ({
      node: loser.screen,
      key: "path" as const,
      says: `${address} leads to ${plainName(frame, winner.screen)}, not to ${plainName(frame, loser.screen)}`,
      detail: `${winner.pattern.text} wins over ${loser.pattern.text}`,
    })),
};
