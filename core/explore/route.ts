import type { Frame, HubNode, Id, ScreenNode } from "../frame/types.js";
import type { View } from "../frame/view.js";
import type { NavigationEvent } from "../navigate/events.js";
import { focusPath, topOf } from "../navigate/focus.js";
import { backEvent } from "../observe/ladder.js";
import type { State } from "../navigate/state.js";
import { step } from "../navigate/step.js";
import { surfaceOf } from "../observe/surface.js";

/**
 * What a person could do next: wait for what the screen does by itself, a row and each action of every screen that can be touched, each tab in sight or in a
 * drawer, a hub's extras, and going back. Each is one or two events: a drawer is opened first.
 */
export const choicesAt = (frame: Frame, view: View, state: State): NavigationEvent[][] => {
  const { bars, screens, focus } = surfaceOf(frame, state, view);
  const choices: NavigationEvent[][] = [];
  const top = focus.at(-1)!;
  const { after } = frame.nodes[top.node] as ScreenNode;
  if (after) choices.push([{ do: "wait", ms: after.ms }]);
  for (const { entry, inert } of screens) {
    if (inert) continue;
    const { actions = [], body } = frame.nodes[entry.node] as ScreenNode;
    const at = entry === top ? {} : { in: entry.node };
    if (body && "opens" in body && body.opens && body.rows > 0)
      choices.push([{ do: "pick", row: Math.min(3, body.rows), ...at }]);
    for (const action of actions) choices.push([{ do: "tap", action: action.id, ...at }]);
  }
  const drawer = bars.findLast(
    (bar) => bar.face === "drawer" && !bar.inert && focus.some((entry) => entry.key === bar.key),
  );
  for (const bar of bars) {
    if (bar.inert || (bar.face === "drawer" && bar !== drawer)) continue;
    const first: NavigationEvent[] = bar.face === "drawer" && !bar.open ? [{ do: "menu" }] : [];
    for (const to of [...bar.tabs, ...bar.more]) if (to !== bar.active) choices.push([...first, { do: "tab", to }]);
    if (bar.face === "bar" || bar.face === "top") continue;
    for (const { id } of (frame.nodes[bar.hub] as HubNode).extras ?? [])
      choices.push([...first, { do: "tap", action: id, in: bar.hub }]);
  }
  const back = backEvent(frame, view, state);
  if (back) choices.push([back]);
  return choices;
};

/** A state that a person can come to, and the fewest events they need. */
export interface Reached {
  state: State;
  events: NavigationEvent[];
}

/** Where going everywhere ends. */
interface Bounds {
  /** Whether what was found is all that was looked for. */
  enough?: (reached: Reached) => boolean;
  /** Whether a state is one to go on from. */
  within?: (state: State) => boolean;
}

/**
 * Goes everywhere a person can go from a state: for each screen the way there with the fewest events. A screen is looked
 * at once, so a way that only opens after a detour is not found. Stops early once `enough` says so.
 */
export const exploreFrom = (
  frame: Frame,
  view: View,
  state: State,
  { enough = () => false, within = () => true }: Bounds = {},
): Map<Id, Reached> => {
  const first: Reached = state.outside
    ? { state: step(frame, view, state, { do: "return" }).state, events: [{ do: "return" }] }
    : { state, events: [] };
  const lens = { frame, view };
  const found = new Map<Id, Reached>([[topOf(lens, first.state.root).node, first]]);
  if (enough(first)) return found;
  for (const at of found.values())
    for (const events of choicesAt(frame, view, at.state)) {
      let after = at.state;
      for (const event of events) after = step(frame, view, after, event).state;
      const top = topOf(lens, after.root).node;
      if (after === at.state || after.outside || found.has(top) || !within(after)) continue;
      const reached = { state: after, events: [...at.events, ...events] };
      found.set(top, reached);
      if (enough(reached)) return found;
    }
  return found;
};

/** The fewest events a person needs from a state until the node shows; null if no way was found. */
export const routeTo = (frame: Frame, view: View, state: State, to: Id): NavigationEvent[] | null => {
  const shows = ({ state: at }: Reached): boolean =>
    focusPath({ frame, view }, at.root).some((entry) => entry.node === to);
  let route: NavigationEvent[] | null = null;
  exploreFrom(frame, view, state, {
    enough: (reached) => {
      if (shows(reached)) route = reached.events;
      return route !== null;
    },
  });
  return route;
};
