import { equal } from "../frame/equal.js";
import type { Lens } from "../frame/look.js";
import { screenAt } from "../frame/nodes.js";
import { isThere } from "../frame/only.js";
import type { Id } from "../frame/parts.js";
import { upTakes } from "../navigate/back.js";
import { isStuck, type State } from "../navigate/state.js";
import { backEvent, goesBack } from "../observe/ladder.js";
import { type Surface, surfaceIn } from "../observe/surface.js";
import { factChanges } from "./asked-facts.js";
import { type Choice, choicesIn } from "./choices.js";

/** What can be done in the states of a shape, and what is seen in them. */
export interface Standing<Outcome> {
  choices: readonly Choice[];
  /** How many of the choices are a person's or the screen's own; those after are facts that change. */
  own: number;
  /** The choice that takes no tap; -1 where there is none. */
  free: number;
  /** The choice that a person goes back by; -1 where there is none. */
  back: number;
  /** Back is the system's: it always does something. */
  isSystemBack: boolean;
  top: Id | null;
  /** The screens that can be seen and touched. */
  screens: readonly Id[];
  strips: number;
  /** Nothing on screen goes back: only whoever knows of the edge swipe does. */
  isSwipeAlone: boolean;
  /** Something would be taken off by going up. */
  canGoUp: boolean;
  isAsking: boolean;
  isOutside: boolean;
  /** Nothing of the app may be shown. */
  isStuck: boolean;
  /** What each choice was found to come to, kept by whoever asks that. */
  outcomes: Outcome[];
}

/** Whether something on the top screen goes back: a strip, or an action. */
const showsBack = ({ frame, view }: Lens, { facts }: State, { headers, top }: Surface): boolean => {
  if (headers.some(({ back, close }) => back || close)) return true;
  const { actions = [] } = top ? screenAt(frame, top.node) : {};
  return actions.some(({ only, do: act }) => goesBack(act) && isThere(frame, only, view, facts));
};

/** What can be done in a state, and what is seen in it. */
export const standingIn = (lens: Lens, state: State): Standing<never> => {
  const own = choicesIn(lens, state);
  const changes = factChanges(lens.frame, state.facts).map((event): Choice => ({ events: [event], isFree: false }));
  const back = state.asking || state.outside ? null : backEvent(lens.frame, lens.view, state);
  const surface = surfaceIn(lens, state);
  const isOutside = state.outside;
  return {
    choices: [...own, ...changes],
    own: own.length,
    free: own.findIndex(({ isFree }) => isFree),
    isSystemBack: back?.do === "back",
    back: back ? own.findIndex(({ events }) => events.length === 1 && equal(events[0], back)) : -1,
    top: isOutside ? null : (surface.top?.node ?? null),
    screens:
      isOutside || state.asking ? [] : surface.screens.filter(({ inert }) => !inert).map(({ entry }) => entry.node),
    strips: isOutside ? 0 : surface.headers.length,
    isSwipeAlone: back?.do === "up" && back.in === undefined && !showsBack(lens, state, surface),
    canGoUp: !isOutside && upTakes(lens, state) !== null,
    isAsking: state.asking !== null,
    isOutside,
    isStuck: isStuck(state),
    // an object is read faster as it was made than once it was copied into another: each step of a walk reads one
    outcomes: [],
  };
};
