import type { Frame, Id, ScreenNode } from "../frame/types.js";
import type { View } from "../frame/view.js";
import type { NavigationEvent } from "./events.js";
import { focusPath, type State, topOf } from "./state.js";
import { step } from "./step.js";
import { surfaceOf } from "./surface.js";

/** What a person could do next on this screen: a row, each action, each tab that can be seen. */
export const choicesAt = (frame: Frame, view: View, state: State): NavigationEvent[] => {
  const { layers, top } = surfaceOf(frame, state, view);
  const { actions = [], body } = frame.nodes[top.node] as ScreenNode;
  const events: NavigationEvent[] = [];
  if (body && "opens" in body && body.opens && body.rows > 0) events.push({ do: "pick", row: Math.min(3, body.rows) });
  for (const action of actions) events.push({ do: "tap", action: action.id });
  for (const { bar } of layers)
    if (bar) for (const to of [...bar.tabs, ...bar.more]) if (to !== bar.active) events.push({ do: "tab", to });
  return events;
};

/** A state that a person can come to, and the fewest events they need. */
export interface Reached {
  state: State;
  events: NavigationEvent[];
}

/**
 * Goes everywhere a person can go from a state: for each screen the way there with the fewest events. A screen is looked
 * at once, so a way that only opens after a detour is not found. Stops early once `enough` says so.
 */
export const exploreFrom = (
  frame: Frame,
  view: View,
  state: State,
  enough: (reached: Reached) => boolean = () => false,
): Map<Id, Reached> => {
  const first: Reached = state.outside
    ? { state: step(frame, view, state, { do: "return" }).state, events: [{ do: "return" }] }
    : { state, events: [] };
  const found = new Map<Id, Reached>([[topOf(first.state.root).node, first]]);
  if (enough(first)) return found;
  for (const at of found.values())
    for (const event of choicesAt(frame, view, at.state)) {
      const { state: after } = step(frame, view, at.state, event);
      const top = topOf(after.root).node;
      if (after === at.state || after.outside || found.has(top)) continue;
      const reached = { state: after, events: [...at.events, event] };
      found.set(top, reached);
      if (enough(reached)) return found;
    }
  return found;
};

/** The fewest events a person needs from a state until the node shows; null if no way was found. */
export const routeTo = (frame: Frame, view: View, state: State, to: Id): NavigationEvent[] | null => {
  const shows = ({ state: at }: Reached): boolean => focusPath(at.root).some((entry) => entry.node === to);
  let route: NavigationEvent[] | null = null;
  exploreFrom(frame, view, state, (reached) => {
    if (shows(reached)) route = reached.events;
    return route !== null;
  });
  return route;
};
