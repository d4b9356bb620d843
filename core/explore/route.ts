import { lensOf } from "../frame/look.js";
import { hubAt, nodeAt, screenAt } from "../frame/nodes.js";
import type { Id } from "../frame/parts.js";
import { lastOf } from "../frame/sure.js";
import type { FixedFrame } from "../frame/types.js";
import type { View } from "../frame/view.js";
import type { Move, NavigationEvent } from "../navigate/event.js";
import { focusPath, topOf } from "../navigate/focus.js";
import { drawerOf, isBarInSight, type SeenBar, type ScreenScene, type Sight, sightOf } from "../navigate/sight.js";
import type { State } from "../navigate/state.js";
import { step } from "../navigate/step.js";
import { backEvent } from "../observe/ladder.js";

/** What can be done on a screen that can be touched. */
const onScreen = (frame: FixedFrame, { entry }: ScreenScene, top: Sight["top"]): NavigationEvent[][] => {
  const { actions = [], body } = screenAt(frame, entry.node);
  const at = entry === top ? {} : { in: entry.node };
  const rows: NavigationEvent[][] =
    body && "opens" in body && body.opens && body.rows > 0
      ? [[{ do: "pick", row: Math.min(3, body.rows), ...at }]]
      : [];
  return [...rows, ...actions.map((action): NavigationEvent[] => [{ do: "tap", action: action.id, ...at }])];
};

/** What comes before a bar that can be touched is: a drawer is opened first. */
const beforeBar = (bar: SeenBar): NavigationEvent[] => (isBarInSight(bar) ? [] : [{ do: "menu" }]);

/** How a person chooses a tab of a bar that can be touched. */
export const choosingOn = (bar: SeenBar, to: Id): NavigationEvent[] => [...beforeBar(bar), { do: "tab", to }];

/** What can be done on a bar that can be touched; a drawer is opened first. */
const onBar = (frame: FixedFrame, bar: SeenBar): NavigationEvent[][] => {
  const first = beforeBar(bar);
  const chosen = [...bar.tabs, ...bar.more].filter((to) => to !== bar.active).map((to) => choosingOn(bar, to));
  if (bar.face === "bar" || bar.face === "top") return chosen;
  const extras = hubAt(frame, bar.hub).extras ?? [];
  return [...chosen, ...extras.map(({ id }): NavigationEvent[] => [...first, { do: "tap", action: id, in: bar.hub }])];
};

/** What some events come to, with every question answered so that it is left: those answers stand among the events. */
export interface Through {
  state: State;
  moves: Move[];
  events: NavigationEvent[];
}

/** Events one after another, going on through whatever is asked. */
export const throughAll = (
  frame: FixedFrame,
  view: View,
  before: State,
  given: readonly NavigationEvent[],
): Through => {
  const went: Through = { state: before, moves: [], events: [] };
  const go = (event: NavigationEvent): void => {
    const { state, moves } = step(frame, view, went.state, event);
    went.state = state;
    went.moves.push(...moves);
    went.events.push(event);
  };
  for (const event of given) {
    go(event);
    if (went.state.asking) go({ do: "answer", leave: true });
  }
  return went;
};

/** What answers a question. */
const answers: readonly NavigationEvent[][] = [[{ do: "answer", leave: true }], [{ do: "answer", leave: false }]];

/**
 * What a person could do next: answer what is asked; else wait for what the screen does by itself, a row and each action of every screen that can be touched, each tab in sight or in a
 * drawer, a hub's extras, and going back. Each is one or two events: a drawer is opened first.
 */
export const choicesAt = (frame: FixedFrame, view: View, state: State): NavigationEvent[][] => {
  if (state.asking) return [...answers];
  const { bars, screens, focus, top } = sightOf(lensOf(frame, view), state);
  const node = nodeAt(frame, lastOf(focus).node);
  const after = node.kind === "screen" ? node.after : undefined;
  const drawer = drawerOf({ bars, focus });
  const back = backEvent(frame, view, state);
  return [
    ...(after ? [[{ do: "wait" as const, ms: after.ms }]] : []),
    ...screens.filter(({ inert }) => !inert).flatMap((screen) => onScreen(frame, screen, top)),
    ...bars
      .filter((bar) => !bar.inert && (bar.face !== "drawer" || bar === drawer))
      .flatMap((bar) => onBar(frame, bar)),
    ...(back ? [[back]] : []),
  ];
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
  /** So many events are tried. */
  mostTried?: number;
  /** Whether some events are tried at all. */
  tries?: (events: readonly NavigationEvent[]) => boolean;
}

/**
 * Goes everywhere a person can go from a state: for each screen the way there with the fewest events. A screen is looked
 * at once, so a way that only opens after a detour is not found. Stops early once `enough` says so.
 */
export const exploreFrom = (
  frame: FixedFrame,
  view: View,
  state: State,
  { enough = () => false, within = () => true, tries = () => true, mostTried = Infinity }: Bounds = {},
): Map<Id, Reached> => {
  const first: Reached = state.outside
    ? { state: step(frame, view, state, { do: "return" }).state, events: [{ do: "return" }] }
    : { state, events: [] };
  const lens = lensOf(frame, view);
  const found = new Map<Id, Reached>([[topOf(lens, first.state.root).node, first]]);
  if (enough(first)) return found;
  let tried = 0;
  for (const at of found.values())
    for (const events of choicesAt(frame, view, at.state)) {
      if (!tries(events)) continue;
      if ((tried += 1) > mostTried) return found;
      const { state: after, events: gone } = throughAll(frame, view, at.state, events);
      const top = topOf(lens, after.root).node;
      if (after === at.state || after.outside || found.has(top) || !within(after)) continue;
      const reached = { state: after, events: [...at.events, ...gone] };
      found.set(top, reached);
      if (enough(reached)) return found;
    }
  return found;
};

/** So many events are tried to find a way from where someone is: more, and who waits for it would see it. */
const mostTried = 800;

/** The fewest events a person needs from a state until the node shows; null if no way was found near by. */
export const routeTo = (frame: FixedFrame, view: View, state: State, to: Id): NavigationEvent[] | null => {
  const shows = ({ state: at }: Reached): boolean =>
    focusPath(lensOf(frame, view), at.root).some((entry) => entry.node === to);
  let route: NavigationEvent[] | null = null;
  exploreFrom(frame, view, state, {
    mostTried,
    enough: (reached) => {
      if (shows(reached)) route = reached.events;
      return route !== null;
    },
  });
  return route;
};
