import { againOf, backOf, keepOf, startOf } from "../frame/defaults.js";
import type { HubNode, Id } from "../frame/types.js";
import { isNarrowIn, isSplit, type Lens, shownInside } from "./focus.js";
import { fresh } from "./make.js";
import { mayStart } from "../frame/needs.js";
import { emptied, lose, nodeIn, type Run } from "./run.js";
import { type ContainerEntry, type Entry, type HubEntry, isHub, isPair, isStack, type State, withChild, withEntries, withHub, withPair } from "./state.js";

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
export const hubBack = (run: Run, hub: HubEntry, facts: State["facts"]): HubEntry | null => {
  const node = hubNode(run, hub);
  const { active, visits } = hub.inside;
  const rule = backOf(node);
  const to = rule === "start" ? startOf(node) : rule === "visited" ? visits.at(-1) : undefined;
  if (to === undefined || to === active) return null;
  // a tab that may not be shown is passed over
  if (!hub.inside.tabs[to] && !mayStart(run.frame, facts, to)) return null;
  const next = withTab(run, hub, to);
  return withHub(next, { visits: visits.filter((id) => id !== to && id !== active) });
};

/**
 * An entry brought back to its first screen, everything above it closed; the same entry if it is there already. A pair
 * that is not split goes back to its list; of a split one each pane goes to its own first screen.
 */
export const atRoot = (run: Run, entry: Entry, narrow: boolean): Entry => {
  if (isStack(entry)) {
    const [first, ...above] = entry.inside.entries;
    for (const closed of above) lose(run, closed);
    const inner = atRoot(run, first!, narrow);
    return above.length === 0 && inner === first ? entry : withEntries(entry, [inner]);
  }
  if (isHub(entry)) {
    const active = entry.inside.tabs[entry.inside.active]!;
    return withChild(entry, active, atRoot(run, active, narrow));
  }
  if (!isPair(entry)) return entry;
  const list = atRoot(run, entry.inside.list, narrow);
  const { detail } = entry.inside;
  if (isSplit(run, entry, narrow)) return withPair(entry, { list, detail: detail && atRoot(run, detail, narrow) });
  if (detail && entry.inside.side === "detail") {
    lose(run, detail);
    return withPair(entry, { list, detail: null, side: "list" });
  }
  return withPair(entry, { list });
};

/** An entry with what shows in it scrolled to the top; of a split pair both panes. */
export const scrolledUp = (lens: Lens, entry: Entry, narrow: boolean): Entry => {
  if (!entry.inside) return entry.ui.scroll === 0 ? entry : { ...entry, ui: { ...entry.ui, scroll: 0 } };
  if (isPair(entry) && isSplit(lens, entry, narrow)) {
    const { list, detail } = entry.inside;
    return withPair(entry, {
      list: scrolledUp(lens, list, narrow),
      detail: detail && scrolledUp(lens, detail, narrow),
    });
  }
  const shown = shownInside(lens, entry as ContainerEntry, narrow);
  const inner = scrolledUp(lens, shown, isNarrowIn(lens, entry, shown, narrow));
  return withChild(entry as ContainerEntry, shown, inner);
};

/** The hub when the tab already chosen is chosen again. `narrow`: it stands inside a sheet, dialog or side. */
export const tabAgain = (run: Run, hub: HubEntry, narrow: boolean): HubEntry => {
  const rule = againOf(hubNode(run, hub));
  if (rule === "none") return hub;
  const entry = hub.inside.tabs[hub.inside.active]!;
  const first = rule === "root" ? atRoot(run, entry, narrow) : entry;
  return withChild(hub, entry, first === entry ? scrolledUp(run, entry, narrow) : first);
};
