import { childrenOf } from "../../frame/defaults.js";
import { indexOf, placesOf } from "../../frame/frame-index.js";
import { plainName } from "../../frame/names.js";
import { nodeAt } from "../../frame/nodes.js";
import type { Id } from "../../frame/parts.js";
import type { Frame } from "../../frame/types.js";
import { waysIn } from "../../explore/ways.js";
import { thatGo, byEdit } from "../mends.js";
import type { Found, Rule } from "../rule.js";

/** The one tab's stack, of a hub, that everything leading to a screen stands in; null where there is none. */
const calledFrom = (frame: Frame, hub: Id, screen: Id): Id | null => {
  const { ways } = indexOf(frame);
  const from = waysIn(frame, screen).map(({ from: id }) => id);
  const tabs = new Set(
    from.map((id) => {
      const place = placesOf(frame, id)[0];
      const way = place === undefined ? undefined : ways.get(place);
      return way && way.includes(hub) ? way[way.indexOf(hub) + 1] : undefined;
    }),
  );
  const [tab] = tabs;
  return from.length > 0 && tabs.size === 1 && tab !== undefined && nodeAt(frame, tab).kind === "stack" ? tab : null;
};

/** Finds screens beside a hub that only one of its tabs opens, so that the bar goes. */
export const barVanishes: Rule = {
  code: "bar-vanishes",
  group: "bars",
  severity: "doubt",
  suffers: "They go one screen deeper, and the tabs are gone.",
  why: "A screen beside a hub covers its bar. Where only one tab leads there, it was most likely meant within that tab.",
  find: ({ frame, views }) =>
    [...indexOf(frame).ways.keys()].flatMap((stack) => {
      const node = nodeAt(frame, stack);
      if (node.kind !== "stack") return [];
      const hub = node.children.find((id) => frame.nodes[id]?.kind === "hub");
      if (hub === undefined) return [];
      return childrenOf(node).flatMap((id): Found[] => {
        const screen = nodeAt(frame, id);
        if (screen.kind !== "screen" || screen.needs || screen.body?.kind === "media" || id === frame.address?.lost)
          return [];
        const tab = calledFrom(frame, hub, id);
        const pushed = views.filter(({ lens }) => {
          const { face } = lens.look(hub);
          return lens.look(id).opens === "push" && (face === "bar" || face === "top" || face === "rail");
        });
        if (tab === null || pushed.length === 0 || placesOf(frame, id).length > 1) return [];
        const told = {
          label: `Move it into ${plainName(frame, tab)}`,
          says: "the bar stays, and Back goes to the screen beneath in its tab",
        };
        return [
          {
            node: id,
            views: pushed,
            says: `${plainName(frame, id)} covers the tabs of ${plainName(frame, hub)}`,
            detail: `it stands beside them, and only ${plainName(frame, tab)} leads there`,
            mends: thatGo(frame, [byEdit(told, { kind: "move", id, from: stack, to: tab, after: null })]),
          },
        ];
      });
    }),
};
