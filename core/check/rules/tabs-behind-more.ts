import { startOf } from "../../frame/defaults.js";
import { indexOf } from "../../frame/frame-index.js";
import { plainName } from "../../frame/names.js";
import { hubAt } from "../../frame/nodes.js";
import { tabsOf } from "../../frame/tabs.js";
import type { Facts, Id } from "../../frame/parts.js";
import type { FixedFrame } from "../../frame/types.js";
import { launchFacts } from "../launch-facts.js";
import { setting, thatGo } from "../mends.js";
import type { CheckedView, Found, Rule } from "../rule.js";

/** The hubs whose face shows some tabs behind More in a view, each with those tabs. */
export const behindMore = ({ lens }: CheckedView, facts: Facts): { hub: Id; more: Id[] }[] => {
  const { frame } = lens;
  return indexOf(frame).ids.flatMap((hub) => {
    if (frame.nodes[hub]?.kind !== "hub") return [];
    const { more } = tabsOf(lens, hub, lens.look(hub).face, facts);
    return more.length ? [{ hub, more }] : [];
  });
};

const found = (frame: FixedFrame, view: CheckedView, hub: Id, more: readonly Id[]): Omit<Found, "mends"> => {
  const start = startOf(hubAt(frame, hub));
  const isStart = start !== undefined && more.includes(start);
  return {
    node: hub,
    key: "limit",
    views: [view],
    severity: isStart ? "fault" : "hint",
    says: isStart
      ? `The tab that ${plainName(frame, hub)} starts with stands behind More`
      : `${more.length} tabs of ${plainName(frame, hub)} stand behind More`,
    detail: more.map((id) => plainName(frame, id)).join(", "),
  };
};

/** Finds tabs that stand behind More and should be in sight. */
export const tabsBehindMore: Rule = {
  code: "tabs-behind-more",
  group: "bars",
  severity: "hint",
  suffers: "They look for a tab, and it is behind another one.",
  why: "What stands behind More is found late. The tab the app starts with has to be in sight.",
  find: ({ frame, views }) => {
    const facts = launchFacts(frame);
    return views.flatMap((view) =>
      behindMore(view, facts).map(({ hub, more }): Found => {
        const { children } = hubAt(frame, hub);
        const start = startOf(hubAt(frame, hub));
        const isStart = start !== undefined && more.includes(start);
        const told = { label: "Put the start first", says: "the tab it starts with stands first" };
        const mend = isStart
          ? { ...told, edit: { kind: "move" as const, id: start, from: hub, to: hub, after: null } }
          : setting(frame, hub, "limit", children.length, {
              label: `Show all ${children.length}`,
              says: "each tab is narrower",
            });
        return { ...found(frame, view, hub, more), mends: thatGo(frame, [mend]) };
      }),
    );
  },
};
