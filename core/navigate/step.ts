import { factAtLaunch, factsOf, targetsOf } from "../frame/defaults.js";
import type { FactValue, Id } from "../frame/parts.js";
import { lastOf } from "../frame/sure.js";
import type { FixedFrame } from "../frame/types.js";
import { noInsets, type View } from "../frame/view.js";
import { setDrawer } from "./drawer.js";
import type { EventKind, EventOf, Move, NavigationEvent } from "./event.js";
import { fact, view } from "./events/around.js";
import { back, dismiss, up } from "./events/away.js";
import { tab } from "./events/bars.js";
import { comeBack, kill, launchState, link, open } from "./events/life.js";
import { pick, tap } from "./events/tap.js";
import { scroll, type } from "./events/typed.js";
import { wait } from "./events/wait.js";
import { movesBetween } from "./moves.js";
import type { Note } from "./notes.js";
import { readEvent } from "./read-event.js";
import { ignore, newRun, type Passed, type Run } from "./run.js";
import { settle } from "./settle.js";
import { isStuck, type State } from "./state.js";

/** What an event made of a state: the next state, what changed on screen, and why. */
export interface Step {
  state: State;
  moves: Move[];
  notes: Note[];
  /** What was on screen on the way, one after another, the last one last: more than one where several things happened in one wait. */
  passed: readonly Passed[];
}

/** How one kind of event is carried out. */
interface Family<K extends EventKind> {
  carryOut: (run: Run, state: State, event: EventOf<K>) => State;
  /** It works while the app is left, and while nothing of it may be shown. */
  works?: { outside?: true; stuck?: true };
}

const always = { outside: true, stuck: true } as const;
const families: { [K in EventKind]: Family<K> } = {
  tap: { carryOut: tap },
  pick: { carryOut: pick },
  tab: { carryOut: tab },
  menu: { carryOut: (run, state, event) => setDrawer(run, state, event.open) },
  back: { carryOut: back, works: { stuck: true } },
  up: { carryOut: up },
  dismiss: { carryOut: dismiss },
  open: { carryOut: open, works: always },
  link: { carryOut: link, works: always },
  fact: { carryOut: fact, works: always },
  wait: { carryOut: wait, works: always },
  scroll: { carryOut: scroll },
  type: { carryOut: type },
  view: { carryOut: view, works: always },
  return: { carryOut: comeBack, works: { outside: true } },
  kill: { carryOut: kill, works: always },
};

const carryOut = <K extends EventKind>(run: Run, state: State, event: EventOf<K> & { do: K }): State => {
  const { carryOut: work, works }: Family<K> = families[event.do];
  if (state.outside && !works?.outside) return ignore(run, state, null, { why: "outside" });
  if (isStuck(state) && !state.outside && !works?.stuck) return ignore(run, state, null, { why: "stuck" });
  return work(run, state, event);
};

/** The first state of an app, with the facts as given or as at a launch; by a link, where that leads. */
export const launch = (
  frame: FixedFrame,
  at: View,
  given: Readonly<Record<Id, FactValue>> = {},
  url?: string,
): Step => {
  const facts: Record<Id, FactValue> = {};
  for (const each of factsOf(frame)) facts[each.id] = given[each.id] ?? factAtLaunch(each);
  const run = newRun(frame, at, { clock: 0, nextKey: 1, facts });
  const launched = launchState(run, facts, url);
  const state = { ...launched, nextKey: run.nextKey };
  return { state, moves: [], notes: run.notes, passed: [{ state, moves: [] }] };
};

/** Whether an event settles what it does by itself: a wait after each thing that happens, a launch as it begins. */
const settlesItself = (event: NavigationEvent): boolean =>
  event.do === "wait" || event.do === "kill" || (event.do === "link" && event.start === "cold");

/**
 * One event on a sound frame (`faultsOf` finds nothing): the next state, and why. Never throws: what is no event, or
 * cannot apply, changes nothing and is noted as `ignored`.
 */
export const step = (frame: FixedFrame, at: View, before: State, event: NavigationEvent): Step => {
  const run = newRun(frame, at, before);
  const read = readEvent(event);
  if (!read.ok) {
    const { received, pointer, expected } = read.fault;
    ignore(run, before, null, { why: "no-event", received, pointer, expected });
    return { state: before, moves: [], notes: run.notes, passed: [] };
  }
  const carried = carryOut(run, before, event);
  if (carried === before) return { state: before, moves: [], notes: run.notes, passed: [] };
  const isSettled = settlesItself(event);
  const settled = isSettled ? carried : settle(run, before, carried);
  const state = run.nextKey === settled.nextKey ? settled : { ...settled, nextKey: run.nextKey };
  // of an app that starts anew nothing moves
  const moves = isSettled ? run.parts.flatMap((part) => part.moves) : movesBetween(run, before.root, state.root);
  // the time that goes by after the last thing that happened shows what that left
  const passed = run.parts.length > 1 ? run.parts.with(-1, { ...lastOf(run.parts), state }) : [{ state, moves }];
  return { state, moves, notes: run.notes, passed };
};

/** The view after an event: only `view` changes it. */
export const viewAfter = (frame: FixedFrame, at: View, event: NavigationEvent): View => {
  if (event.do !== "view" || !readEvent(event).ok) return at;
  if (event.target !== undefined && !targetsOf(frame).some(({ id }) => id === event.target)) return at;
  const { width, height, target = at.target, rtl = at.rtl } = event;
  return { ...at, width, height, target, rtl, insets: event.insets ? { ...noInsets, ...event.insets } : at.insets };
};
