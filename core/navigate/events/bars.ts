import { startLacks } from "../../frame/way-in.js";
import type { Id } from "../../frame/parts.js";
import { pathTo, withAt, withPair } from "../entries.js";
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

/** What a person chooses in one pane of a pair, the pair follows from then on. */
const withSides = (state: State, key: number): State => {
  const path = pathTo(state.root, key) ?? [];
  return path.reduce<State>((now, _, i) => {
    const at = pathTo(now.root, key) ?? [];
    const pair = at[i];
    if (pair?.kind !== "pair") return now;
    const side = at[i + 1] === pair.list ? "list" : "detail";
    return pair.side === side ? now : withAt(now, at, i, withPair(pair, { side }));
  }, state);
};

const choose = (run: Run, state: State, bar: SeenBar, to: Id): State => {
  const path = pathTo(state.root, bar.key) ?? [];
  const i = path.length - 1;
  const hub = path[i];
  if (hub?.kind !== "hub") return state;
  // a tab is shown though its needs are unmet: choosing it is an opening
  if (!hub.tabs[to] && startLacks(run.frame, state.facts, to)) return open(run, state, askOf(to));
  const next = hub.active === to ? tabAgain(run, hub, isNarrowAt(run, path, i)) : withTab(run, hub, to);
  const switched = withAt(state, path, i, next);
  const chosen = path.some(({ kind }) => kind === "pair") ? withSides(switched, bar.key) : switched;
  return bar.open ? { ...chosen, drawer: null } : chosen;
};

/** A tab of a bar in sight. */
export const tab = (run: Run, state: State, { to }: EventOf<"tab">): State => {
  const { bars } = sightOf(run, state);
  const named = bars.filter((bar) => bar.tabs.includes(to) || bar.more.includes(to));
  const bar = named.find((each) => !each.inert && isBarInSight(each));
  return bar ? choose(run, state, bar, to) : ignore(run, state, to, { why: outOfReach(named), tab: to });
};
