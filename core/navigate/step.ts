import { factAtLaunch, factsOf, targetsOf } from "../frame/defaults.js";
import type { FactValue, Id } from "../frame/parts.js";
import { lastOf } from "../frame/sure.js";
import type { FixedFrame } from "../frame/types.js";
import { noInsets, type View } from "../frame/view.js";
import { askedBy, askerOf, leaveOf, stillAsking, unasked, withQuestion } from "./asking.js";
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
import { ignore, named, newRun, note, type Passed, type Run } from "./run.js";
import { settle } from "./settle.js";
import { type Asking, isStuck, type State } from "./state.js";

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
  /** No screen is asked before it: it is not the person's doing, or leaves nothing. */
  unasked?: true;
  /**
   * What it does while a screen asks; ignored where it is absent. `beside`: it is done, and the question stays while it still
   * stands. `anew`: it is done as if nothing were asked, and may be asked about in place of what was. `ends`: it ends the question.
   */
  asking?: "beside" | "anew" | "ends";
}

const always = { outside: true, stuck: true } as const;
const around = { works: always, unasked: true, asking: "beside" } as const;
const families: { [K in EventKind]: Family<K> } = {
  tap: { carryOut: tap },
  pick: { carryOut: pick },
  tab: { carryOut: tab },
  menu: { carryOut: (run, state, event) => setDrawer(run, state, event.open) },
  back: { carryOut: back, works: { stuck: true } },
  up: { carryOut: up },
  dismiss: { carryOut: dismiss },
  open: { carryOut: open, works: always, asking: "anew" },
  link: { carryOut: link, works: always, asking: "anew" },
  fact: { carryOut: fact, ...around },
  wait: { carryOut: wait, ...around },
  scroll: { carryOut: scroll, unasked: true },
  type: { carryOut: type, unasked: true },
  view: { carryOut: view, ...around },
  return: { carryOut: comeBack, works: { outside: true }, unasked: true },
  kill: { carryOut: kill, ...around, asking: "ends" },
  answer: {
    carryOut: (run, state) => ignore(run, state, null, { why: "nothing-asked" }),
    works: always,
    unasked: true,
  },
};

/** A link that starts the app anew: it is not asked about, and what was asked is gone with it. */
const isCold = (event: NavigationEvent): boolean => event.do === "link" && event.start === "cold";

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

/** Nothing changed: the state as it was, and why. */
const unchanged = (run: Run, state: State): Step => ({ state, moves: [], notes: run.notes, passed: [] });

/** What an event makes of a state that nothing is asked in, without asking anyone. */
const ran = (run: Run, before: State, event: NavigationEvent): Step => {
  const carried = carryOut(run, before, event);
  if (carried === before) return unchanged(run, before);
  const isSettled = settlesItself(event);
  const settled = isSettled ? carried : settle(run, before, carried);
  const state = run.nextKey === settled.nextKey ? settled : { ...settled, nextKey: run.nextKey };
  // of an app that starts anew nothing moves
  const moves = isSettled ? run.parts.flatMap((part) => part.moves) : movesBetween(run, before.root, state.root);
  // the time that goes by after the last thing that happened shows what that left
  const passed = run.parts.length > 1 ? run.parts.with(-1, { ...lastOf(run.parts), state }) : [{ state, moves }];
  return { state, moves, notes: run.notes, passed };
};

/** The same, asked about where a screen asks before it is left: then nothing of the event is kept but the question. */
const asked = (run: Run, before: State, event: NavigationEvent): Step => {
  const done = ran(run, before, event);
  if (families[event.do].unasked || isCold(event)) return done;
  const asker = askedBy(run, before, done.state, event);
  const leave = asker && leaveOf(run.frame, asker.node);
  if (!leave) return done;
  run.notes = [];
  note(run, "asks", asker.node, { screen: named(asker), ask: leave.ask, when: leave.when });
  const state = withQuestion(run, before, asker, event);
  return { state, moves: [], notes: run.notes, passed: [{ state, moves: [] }] };
};

/** The question is answered: what was asked about is done as in the view it was asked in, without asking anyone; or nothing is. */
const answered = (frame: FixedFrame, before: State, { event, view: seenIn }: Asking, leave: boolean): Step => {
  const free = unasked(before);
  const run = newRun(frame, seenIn, free);
  const done = leave ? ran(run, free, event) : unchanged(run, free);
  return done.passed.length > 0 ? done : { ...done, passed: [{ state: free, moves: [] }] };
};

/** An event while a screen asks. */
const whileAsking = (run: Run, before: State, asking: Asking, event: NavigationEvent): Step => {
  if (event.do === "answer") return answered(run.frame, before, asking, event.leave);
  const way = families[event.do].asking;
  const asker = askerOf(before);
  if (!way || !asker)
    return unchanged(run, asker ? ignore(run, before, asker.node, { why: "asks", screen: named(asker) }) : before);
  const free = unasked(before);
  const done = asked(run, free, event);
  if (done.state === free) return { ...done, state: before };
  if (way === "ends") return done;
  const passed = done.passed.map(({ state, moves }) => ({
    state: state.asking ? state : stillAsking(run.frame, asking, state),
    moves,
  }));
  return { ...done, state: passed.at(-1)?.state ?? before, passed };
};

/**
 * One event on a sound frame (`faultsOf` finds nothing): the next state, and why. Never throws: what is no event, or
 * cannot apply, changes nothing and is noted as `ignored`. What a screen asks about changes nothing but that it asks.
 */
export const step = (frame: FixedFrame, at: View, before: State, event: NavigationEvent): Step => {
  const run = newRun(frame, at, before);
  const read = readEvent(event);
  if (!read.ok) {
    const { received, pointer, expected } = read.fault;
    return unchanged(run, ignore(run, before, null, { why: "no-event", received, pointer, expected }));
  }
  return before.asking ? whileAsking(run, before, before.asking, event) : asked(run, before, event);
};

/** One event, with every question answered so that it is left: what the event comes to for whoever goes on. A question that was open is not. */
export const stepThrough = (frame: FixedFrame, at: View, before: State, event: NavigationEvent): Step => {
  const first = step(frame, at, unasked(before), event);
  if (!first.state.asking) return first;
  const then = step(frame, at, first.state, { do: "answer", leave: true });
  return { ...then, notes: [...first.notes, ...then.notes] };
};

/** The view after an event: only `view` changes it. */
export const viewAfter = (frame: FixedFrame, at: View, event: NavigationEvent): View => {
  if (event.do !== "view" || !readEvent(event).ok) return at;
  if (event.target !== undefined && !targetsOf(frame).some(({ id }) => id === event.target)) return at;
  const { width, height, target = at.target, calm = at.calm, rtl = at.rtl } = event;
  const { hinge = at.hinge ?? null, cuts = at.cuts ?? [] } = event;
  const insets = event.insets ? { ...noInsets, ...event.insets } : at.insets;
  return { width, height, target, calm, rtl, insets, ...(hinge && { hinge }), ...(cuts.length > 0 && { cuts }) };
};
