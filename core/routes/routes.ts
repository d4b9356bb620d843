import type { Id } from "../frame/parts.js";
import type { NavigationEvent } from "../navigate/event.js";
import { topOf } from "../navigate/focus.js";
import { choicesAt, throughAll } from "../explore/route.js";
import { type LadderPath, ladderOf, pathOf } from "../observe/ladder.js";
import type { State } from "../navigate/state.js";
import type { Step } from "../navigate/step.js";
import type { Standpoints } from "../explore/standpoints.js";

/** One step of a route: what a person does, and the screen it brings. */
export interface RouteStep {
  events: NavigationEvent[];
  /** The screen it is done on, and the state then. */
  from: Id;
  before: State;
  to: Id;
  after: State;
  moves: Step["moves"];
}

/** A way from one screen to another that a person could take. */
export interface Route {
  /** The state it starts in: as a person first comes to the screen. */
  start: State;
  steps: RouteStep[];
  /** What Back does at its end. */
  ladder: LadderPath;
}

/** So many states are looked at before the search is given up. */
const mostLooked = 3000;
/** A screen is gone through by so many ways, so that routes differ. */
const mostVisits = 3;

interface Reached {
  state: State;
  steps: RouteStep[];
}

/**
 * The routes with the fewest steps from one screen to another, the shortest first; none passes a screen twice. Those that
 * differ in their screens are told apart, not those that differ in how one is tapped. At most `most`, and none with more
 * than two steps beyond the shortest.
 */
export const routesBetween = (points: Standpoints, from: Id, to: Id, most = 3): Route[] => {
  const { frame, view, lens } = points;
  const start = points.at(from).state;
  if (topOf(lens, start.root).node !== from || from === to) return [];
  const queue: Reached[] = [{ state: start, steps: [] }];
  const visits = new Map<Id, number>();
  const routes: Route[] = [];
  const told = new Set<string>();
  let looked = 0;
  for (const at of queue) {
    const shortest = routes[0]?.steps.length ?? Infinity;
    if (routes.length >= most || looked > mostLooked || at.steps.length >= shortest + 2) break;
    const passed = new Set([from, ...at.steps.map((each) => each.to)]);
    for (const events of choicesAt(frame, view, at.state)) {
      looked += 1;
      const { state: after, moves, events: gone } = throughAll(frame, view, at.state, events);
      const top = topOf(lens, after.root).node;
      if (after === at.state || after.outside || passed.has(top)) continue;
      const made = {
        events: gone,
        from: topOf(lens, at.state.root).node,
        before: at.state,
        to: top,
        after,
        moves,
      };
      const steps = [...at.steps, made];
      if (top === to) {
        const key = steps.map((each) => each.to).join(" ");
        if (told.has(key) || routes.length >= most) continue;
        told.add(key);
        routes.push({ start, steps, ladder: pathOf(ladderOf(frame, view, after)) });
        continue;
      }
      const count = visits.get(top) ?? 0;
      if (count >= mostVisits) continue;
      visits.set(top, count + 1);
      queue.push({ state: after, steps });
    }
  }
  return routes;
};
