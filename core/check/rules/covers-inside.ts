import { childrenOf } from "../../frame/defaults.js";
import { indexOf, parentsOf, placesOf } from "../../frame/frame-index.js";
import { heldIn } from "../../frame/look.js";
import { plainName } from "../../frame/names.js";
import { nodeAt } from "../../frame/nodes.js";
import type { Id } from "../../frame/parts.js";
import type { Frame } from "../../frame/types.js";
import { waysIn } from "../../explore/ways.js";
import { list } from "../../says/words.js";
import { byEdit, thatGo } from "../mends.js";
import type { CheckedView, Found, Rule } from "../rule.js";

/** A hub, one of its tabs, and the stack that the hub stands in. */
interface Tab {
  hub: Id;
  tab: Id;
  around: Id;
}

/** The tabs of a frame that are stacks, of hubs that stand in a stack. */
const tabsIn = (frame: Frame): Tab[] =>
  indexOf(frame).ids.flatMap((hub) => {
    const node = nodeAt(frame, hub);
    const around = parentsOf(frame, hub)[0];
    if (node.kind !== "hub" || around === undefined || nodeAt(frame, around).kind !== "stack") return [];
    return node.children.filter((tab) => nodeAt(frame, tab).kind === "stack").map((tab) => ({ hub, tab, around }));
  });

/** The other tabs of its hub that lead to a screen. */
const tabsLeadingTo = (frame: Frame, screen: Id, { hub, tab }: Tab): Id[] => {
  const { ways } = indexOf(frame);
  const from = waysIn(frame, screen).flatMap(({ from: id }) => {
    const place = placesOf(frame, id)[0];
    const way = (place === undefined ? undefined : ways.get(place)) ?? [];
    const at = way.indexOf(hub);
    // a screen that is a tab by itself stands in the hub
    return at < 0 ? [] : [way[at + 1] ?? id];
  });
  return [...new Set(from)].filter((id) => id !== tab);
};

/** The views in which a screen takes the tabs off that it stands in. */
const covering = (views: readonly CheckedView[], screen: Id, { hub, tab }: Tab): CheckedView[] =>
  views.filter(({ lens }) => {
    const { face } = lens.look(hub);
    const isBar = face === "bar" || face === "top";
    return isBar && lens.look(screen).opens === "push" && heldIn(lens, screen, tab, "bars") === "hide";
  });

/** Finds screens in a tab that cover the tabs and are opened from other tabs. */
export const coversInside: Rule = {
  code: "covers-inside",
  group: "bars",
  severity: "doubt",
  suffers: "They tap something, are in another tab without seeing it, and Back leads to where they never were.",
  why: "A screen in a tab's stack takes whoever opens it to that tab. With the bar hidden that is not even seen; one that covers the tabs, and is opened from several, was most likely meant beside them.",
  find: ({ frame, views }) =>
    tabsIn(frame).flatMap((at) => {
      return childrenOf(nodeAt(frame, at.tab))
        .slice(1)
        .flatMap((id): Found[] => {
          if (frame.nodes[id]?.kind !== "screen" || placesOf(frame, id).length > 1) return [];
          const from = tabsLeadingTo(frame, id, at);
          const hidden = from.length > 0 ? covering(views, id, at) : [];
          if (hidden.length === 0) return [];
          const names = list(from.map((tab) => plainName(frame, tab)));
          const told = {
            label: `Move it beside ${plainName(frame, at.hub)}`,
            says: "it covers the tabs from wherever it is opened, and Back goes to where the person was",
          };
          return [
            {
              node: id,
              key: "bars",
              views: hidden,
              says: `${plainName(frame, id)} covers the tabs from inside ${plainName(frame, at.tab)}`,
              detail: `opened from ${names}, it changes the tab and hides that it did`,
              mends: thatGo(frame, [byEdit(told, { kind: "move", id, from: at.tab, to: at.around, after: null })]),
            },
          ];
        });
    }),
};
