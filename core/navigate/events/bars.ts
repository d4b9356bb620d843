import { startLacks } from "../../frame/way-in.js";
import type { Id } from "../../frame/parts.js";
import { pathTo, tabOf, withAt, withChild, withPair } from "../entries.js";
import type { EventOf } from "../event.js";
import { isNarrowAt } from "../focus.js";
import { askOf } from "../grant.js";
import { open } from "../open.js";
import { ignore, type Run } from "../run.js";
import { isBarInSight, type SeenBar, sightOf } from "../sight.js";
import type { ContainerEntry, Entry, HubEntry, State } from "../state.js";
import { tabAgain, withTab } from "../tabs.js";

const outOfReach = (named: readonly SeenBar[]): "tab-covered" | "tab-in-drawer" | "tab-not-seen" => {
  if (named.some(({ inert }) => inert)) return "tab-covered";
  return named.length ? "tab-in-drawer" : "tab-not-seen";
};

/** What a person chooses in one pane of a pair, the pair follows from then on: the hub at the end of a path put back with the sides of all pairs above it. */
const withSides = (state: State, path: readonly Entry[], hub: HubEntry): State => {
  const sided = path.slice(0, -1).map((entry, i) => {
    if (entry.kind !== "pair") return entry;
    return withPair(entry, { side: path[i + 1] === entry.list ? "list" : "detail" });
  });
  let at: Entry = hub;
  for (let i = sided.length - 1; i >= 0; i -= 1) {
    const [container, old] = [sided[i], path[i + 1]];
    if (container && old && container.kind !== "screen") at = withChild<ContainerEntry>(container, old, at);
  }
  return at.kind === "stack" && at !== state.root ? { ...state, root: at } : state;
};

const choose = (run: Run, state: State, bar: SeenBar, to: Id): State => {
  const path = pathTo(state.root, bar.key) ?? [];
  const i = path.length - 1;
  const hub = path[i];
  if (hub?.kind !== "hub") return state;
  // a tab is shown though its needs are unmet: choosing it is an opening
  if (!tabOf(hub, to) && startLacks(run.frame, state.facts, to)) return open(run, state, askOf(to));
  const next = hub.active === to ? tabAgain(run, hub, isNarrowAt(run, path, i)) : withTab(run, hub, to);
  const isInPair = path.some(({ kind }) => kind === "pair");
  const chosen = isInPair ? withSides(state, path, next) : withAt(state, path, i, next);
  return bar.open ? { ...chosen, drawer: null } : chosen;
};

/** A tab of a bar in sight. */
export const tab = (run: Run, state: State, { to }: EventOf<"tab">): State => {
  const { bars } = sightOf(run, state);
  const named = bars.filter((bar) => bar.tabs.includes(to) || bar.more.includes(to));
  const bar = named.find((each) => !each.inert && isBarInSight(each));
  return bar ? choose(run, state, bar, to) : ignore(run, state, to, { why: outOfReach(named), tab: to });
};
