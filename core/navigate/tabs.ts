import { againOf, backOf, keepOf } from "../frame/defaults.js";
import type { HubNode, Id } from "../frame/types.js";
import { fresh } from "./make.js";
import { emptied, lose, nodeIn, type Run } from "./run.js";
import { type Entry, type HubEntry, isHub, isStack, withEntries, withHub, withShown } from "./state.js";

const hubNode = (run: Run, hub: HubEntry): HubNode => nodeIn(run, hub.node) as HubNode;

/** The tabs of a hub once `left` is left: its entries as `keep` says. */
const tabsAfter = (run: Run, hub: HubEntry, left: Id): Readonly<Record<Id, Entry>> => {
  const { tabs } = hub.inside;
  const keep = keepOf(hubNode(run, hub));
  const entry = tabs[left];
  if (!entry || keep === "live") return tabs;
  if (keep === "place") return { ...tabs, [left]: emptied(run, entry) };
  lose(run, entry);
  const { [left]: _, ...rest } = tabs;
  return rest;
};

/** The hub with another tab chosen; `entry` is what shows there, else it is as it was left, else it starts. */
export const withTab = (run: Run, hub: HubEntry, to: Id, entry?: Entry): HubEntry => {
  const { active, visits } = hub.inside;
  const tabs = active === to ? hub.inside.tabs : tabsAfter(run, hub, active);
  const shown = entry ?? tabs[to] ?? fresh(run, to);
  return withHub(hub, {
    active: to,
    visits: active === to ? visits : [...visits.filter((id) => id !== to && id !== active), active],
    tabs: tabs[to] === shown ? tabs : { ...tabs, [to]: shown },
  });
};

/** The hub after a Back that it follows itself, or null when Back goes past it. */
export const hubBack = (run: Run, hub: HubEntry): HubEntry | null => {
  const node = hubNode(run, hub);
  const { active, visits } = hub.inside;
  const rule = backOf(node);
  const to = rule === "start" ? (node.start ?? node.children[0]) : rule === "visited" ? visits.at(-1) : undefined;
  if (to === undefined || to === active) return null;
  const next = withTab(run, hub, to);
  return withHub(next, { visits: visits.filter((id) => id !== to && id !== active) });
};

/** An entry brought back to its first screen, everything above it closed; the same entry if it is there already. */
export const atRoot = (run: Run, entry: Entry): Entry => {
  if (isStack(entry)) {
    const [first, ...above] = entry.inside.entries;
    for (const closed of above) lose(run, closed);
    const inner = atRoot(run, first!);
    return above.length === 0 && inner === first ? entry : withEntries(entry, [inner]);
  }
  return isHub(entry) ? withShown(entry, atRoot(run, entry.inside.tabs[entry.inside.active]!)) : entry;
};

/** An entry with its top screen scrolled to the top. */
export const scrolledUp = (entry: Entry): Entry => {
  if (entry.inside) {
    const shown = isStack(entry)
      ? entry.inside.entries.at(-1)!
      : (entry as HubEntry).inside.tabs[(entry as HubEntry).inside.active]!;
    return withShown(entry, scrolledUp(shown));
  }
  return entry.ui.scroll === 0 ? entry : { ...entry, ui: { ...entry.ui, scroll: 0 } };
};

/** The hub when the tab already chosen is chosen again. */
export const tabAgain = (run: Run, hub: HubEntry): HubEntry => {
  const rule = againOf(hubNode(run, hub));
  if (rule === "none") return hub;
  const entry = hub.inside.tabs[hub.inside.active]!;
  const first = rule === "root" ? atRoot(run, entry) : entry;
  return withShown(hub, first === entry ? scrolledUp(entry) : first);
};
