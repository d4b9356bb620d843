import { factCombinations, firstUnmet } from "../../frame/needs.js";
import { indexOf, isAttached, placesOf } from "../../frame/frame-index.js";
import { plainName } from "../../frame/names.js";
import type { Facts, Id } from "../../frame/parts.js";
import type { Frame } from "../../frame/types.js";
import { factsText } from "../../walk/asked-facts.js";
import { list } from "../../says/words.js";
import type { Found, Rule } from "../rule.js";

/** Where a node leads by what stands in for it, until something may be shown; null where it comes round. */
const roundFrom = (frame: Frame, facts: Facts, id: Id): Id[] | null => {
  const { ways } = indexOf(frame);
  const seen: Id[] = [];
  for (let at: Id | undefined = id; at !== undefined;) {
    if (seen.includes(at)) return seen.slice(seen.indexOf(at));
    seen.push(at);
    const place = placesOf(frame, at)[0];
    const unmet = firstUnmet(frame, facts, [...(place === undefined ? [] : (ways.get(place) ?? [])), at]);
    at = unmet?.need.otherwise;
  }
  return null;
};

/** Finds needs whose stand-ins lead round to one another. */
export const needsRound: Rule = {
  code: "needs-round",
  group: "links",
  severity: "fault",
  suffers: "They open something, are sent elsewhere, and come nowhere.",
  why: "What stands in for a need that is not met has a need itself, and what stands in for that leads back again.",
  find: ({ frame }) => {
    const told = new Set<string>();
    return factCombinations(frame).flatMap((facts) =>
      indexOf(frame).ids.flatMap((id): Found[] => {
        const round = isAttached(frame, id) ? roundFrom(frame, facts, id) : null;
        const name = round && [...round].sort().join();
        if (!round || name === null || told.has(name)) return [];
        told.add(name);
        const [first] = round;
        return [
          {
            node: first ?? null,
            key: "needs",
            facts: factsText(frame, facts),
            says: `The needs of ${list(round.map((each) => plainName(frame, each)))} send round`,
          },
        ];
      }),
    );
  },
};
