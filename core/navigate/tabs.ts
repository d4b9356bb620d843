import { keepOf, startOf } from "../frame/defaults.js";
import type { Lens } from "../frame/look.js";
import { mayStart } from "../frame/way-in.js";
import { hubAt } from "../frame/nodes.js";
import type { Facts, Id } from "../frame/parts.js";
import { activeTab, tabOf, withChild, withEntries, withHub, withoutDetail, withoutTab, withPair } from "./entries.js";
import { isNarrowIn, isSplit, shownInside } from "./focus.js";
import { fresh } from "./make.js";
import { emptied, lose, type Run } from "./run.js";
import type { Entry, HubEntry, PairEntry, StackEntry } from "./state.js";
import { visitsAfter } from "./visits.js";

/** The hub once its chosen tab is left: that keeps what `keep` says. */
const leftBy = (run: Run, hub: HubEntry): HubEntry => {
  const { tabs, active } = hub;
  const keep = keepOf(hubAt(run.frame, hub.node));
  const entry = tabs[active];
  if (!entry || keep === "live") return hub;
  if (keep === "place") return withHub(hub, { tabs: { ...tabs, [active]: emptied(run, entry) } });
  lose(run, entry);
  return withoutTab(hub, active);
};

/** The hub with another tab chosen; `entry` is what shows there, else it is as it was left, else it starts. */
export const withTab = (run: Run, hub: HubEntry, to: Id, entry?: Entry): HubEntry => {
  const { active, visits } = hub;
  const { tabs } = active === to ? hub : leftBy(run, hub);
  const shown = entry ?? tabOf(hub, to) ?? fresh(run, to);
  return withHub(hub, {
    active: to,
    visits: active === to ? visits : visitsAfter(visits, [to, active], active),
    tabs: tabs[to] === shown ? tabs : { ...tabs, [to]: shown },
  });
};

/** The hub after a Back that it follows itself, or null when Back goes past it. */
export const hubBack = (run: Run, hub: HubEntry, facts: Facts): HubEntry | null => {
  const { active, visits } = hub;
  const rule = run.look(hub.node).back;
  const to = rule === "start" ? startOf(hubAt(run.frame, hub.node)) : rule === "visited" ? visits.at(-1) : undefined;
  if (to === undefined || to === active) return null;
  // a tab that may not be shown is passed over
  if (!tabOf(hub, to) && !mayStart(run.frame, facts, to)) return null;
  const next = withTab(run, hub, to);
  return withHub(next, { visits: visitsAfter(visits, [to, active]) });
};

const stackAtRoot = (run: Run, stack: StackEntry, narrow: boolean): StackEntry => {
  const [first, ...above] = stack.entries;
  if (!first) return stack;
  for (const closed of above) lose(run, closed);
  const inner = atRoot(run, first, narrow);
  return above.length === 0 && inner === first ? stack : withEntries(stack, [inner]);
};

const pairAtRoot = (run: Run, pair: PairEntry, narrow: boolean): PairEntry => {
  const list = atRoot(run, pair.list, narrow);
  const { detail } = pair;
  if (isSplit(run, pair, narrow)) return withPair(pair, { list, detail: detail && atRoot(run, detail, narrow) });
  if (!detail || pair.side === "list") return withPair(pair, { list });
  lose(run, detail);
  return withoutDetail(withPair(pair, { list }));
};

/**
 * An entry brought back to its first screen, everything above it closed; the same entry if it is there already. A pair
 * that is not split goes back to its list; of a split one each pane goes to its own first screen.
 */
export const atRoot = (run: Run, entry: Entry, narrow: boolean): Entry => {
  switch (entry.kind) {
    case "screen":
      return entry;
    case "stack":
      return stackAtRoot(run, entry, narrow);
    case "hub": {
      const active = activeTab(entry);
      return withChild(entry, active, atRoot(run, active, narrow));
    }
    case "pair":
      return pairAtRoot(run, entry, narrow);
  }
};

/** An entry with what shows in it scrolled to the top; of a split pair both panes. */
const scrolledUp = (lens: Lens, entry: Entry, narrow: boolean): Entry => {
  if (entry.kind === "screen") return entry.ui.scroll === 0 ? entry : { ...entry, ui: { ...entry.ui, scroll: 0 } };
  if (entry.kind === "pair" && isSplit(lens, entry, narrow)) {
    const { list, detail } = entry;
    return withPair(entry, {
      list: scrolledUp(lens, list, narrow),
      detail: detail && scrolledUp(lens, detail, narrow),
    });
  }
  const shown = shownInside(lens, entry, narrow);
  return withChild(entry, shown, scrolledUp(lens, shown, isNarrowIn(lens, entry, shown, narrow)));
};

/** The hub when the tab already chosen is chosen again. `narrow`: it stands inside a sheet, dialog or side. */
export const tabAgain = (run: Run, hub: HubEntry, narrow: boolean): HubEntry => {
  const rule = run.look(hub.node).again;
  if (rule === "none") return hub;
  const entry = activeTab(hub);
  const first = rule === "root" ? atRoot(run, entry, narrow) : entry;
  return withChild(hub, entry, first === entry ? scrolledUp(run, entry, narrow) : first);
};
