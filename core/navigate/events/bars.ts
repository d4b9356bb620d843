import { mayStart } from "../../frame/needs.js";
import type { Id } from "../../frame/parts.js";
import { pathTo, withAt } from "../entries.js";
import type { EventOf } from "../event.js";
import { isNarrowAt } from "../focus.js";
import { askOf } from "../grant.js";
import { open } from "../open.js";
import { ignore, type Run } from "../run.js";
import { isBarInSight, type SeenBar, sightOf } from "../sight.js";
import type { State } from "../state.js";
import { tabAgain, withTab } from "../tabs.js";

const outOfReach = (named: readonly SeenBar[]): "tab-covered" | "tab-in-drawer" | "tab-not-seen" => {
  if (named.some(({ inert }) => inert)) return "tab-covered";
  return named.length ? "tab-in-drawer" : "tab-not-seen";
};

const choose = (run: Run, state: State, bar: SeenBar, to: Id): State => {
  const path = pathTo(state.root, bar.key) ?? [];
  const i = path.length - 1;
  const hub = path[i];
  if (hub?.kind !== "hub") return state;
  // a tab is shown though its needs are unmet: choosing it is an opening
  if (!hub.tabs[to] && !mayStart(run.frame, state.facts, to)) return open(run, state, askOf(to));
  const next = hub.active === to ? tabAgain(run, hub, isNarrowAt(run, path, i)) : withTab(run, hub, to);
  const chosen = withAt(state, path, i, next);
  return bar.open ? { ...chosen, drawer: null } : chosen;
};

/** A tab of a bar in sight. */
export const tab = (run: Run, state: State, { to }: EventOf<"tab">): State => {
  const { bars } = sightOf(run, state);
  const named = bars.filter((bar) => bar.tabs.includes(to) || bar.more.includes(to));
  const bar = named.find((each) => !each.inert && isBarInSight(each));
  return bar ? choose(run, state, bar, to) : ignore(run, state, to, { why: outOfReach(named), tab: to });
};
