import { childrenOf } from "../../frame/defaults.js";
import { indexOf, isAttached, subtreeOf } from "../../frame/frame-index.js";
import { heldBy } from "../../frame/held.js";
import { plainName } from "../../frame/names.js";
import { nodeAt } from "../../frame/nodes.js";
import type { Id } from "../../frame/parts.js";
import type { Frame } from "../../frame/types.js";
import { list } from "../../says/words.js";
import { setting } from "../mends.js";
import type { Found, Rule } from "../rule.js";

/** Rows that no screen of a phone shows at once: such a list is scrolled. */
const scrolled = 12;

const isScrolled = (frame: Frame, id: Id): boolean => {
  const node = nodeAt(frame, id);
  return node.kind === "screen" && node.body !== undefined && "rows" in node.body && node.body.rows > scrolled;
};

/** Whether a tab goes deeper than its first screen. */
const isDeep = (frame: Frame, tab: Id): boolean =>
  subtreeOf(frame, tab).some((id) => {
    const node = nodeAt(frame, id);
    return node.kind === "stack" && node.children.length > 1;
  });

/** Finds tabs that forget where a person was in them. */
export const placeLost: Rule = {
  code: "place-lost",
  group: "keeping",
  severity: "hint",
  suffers: "They look something up in another tab, come back, and have to find their place again.",
  why: "A tab that is left may keep all that is in it, its screens alone, or nothing. Whoever goes back and forth between tabs expects to go on where they were.",
  find: ({ frame }) =>
    indexOf(frame).ids.flatMap((id): Found[] => {
      const hub = nodeAt(frame, id);
      if (hub.kind !== "hub" || !isAttached(frame, id)) return [];
      const keep = heldBy(hub, "keep");
      if (keep === "live") return [];
      const isFresh = keep === "fresh";
      const losing = childrenOf(hub).filter((tab) =>
        isFresh ? isDeep(frame, tab) : subtreeOf(frame, tab).some((each) => isScrolled(frame, each)),
      );
      if (losing.length === 0) return [];
      return [
        {
          node: id,
          key: "keep",
          says: `${plainName(frame, id)} forgets ${isFresh ? "where one was in a tab" : "how far one had scrolled in a tab"} that is left`,
          detail: `in ${list(losing.map((tab) => plainName(frame, tab)))}`,
          mends: [
            setting(frame, id, "keep", undefined, {
              label: "Keep everything",
              says: "a tab that is left is found again as it was, with what was typed in it",
            }),
          ],
        },
      ];
    }),
};
