import { type Lens, lensOf } from "../frame/look.js";
import { hasNeeds, unmetOf } from "../frame/needs.js";
import { equal } from "../frame/equal.js";
import { screenAt } from "../frame/nodes.js";
import { isThere } from "../frame/only.js";
import { sure } from "../frame/sure.js";
import type { Facts, Id } from "../frame/parts.js";
import type { FixedFrame } from "../frame/types.js";
import type { View } from "../frame/view.js";
import { upTakes } from "../navigate/back.js";
import { entriesInside } from "../navigate/entries.js";
import type { NavigationEvent } from "../navigate/event.js";
import { type Entry, isStuck, type State } from "../navigate/state.js";
import { launch } from "../navigate/step.js";
import { backEvent, goesBack } from "../observe/ladder.js";
import { type Surface, surfaceIn } from "../observe/surface.js";
import { factChanges } from "./asked-facts.js";
import { type Beginning, beginningsOf } from "./beginnings.js";
import { type Beyond, beyondOf, type Bounds, usualBounds } from "./bounds.js";
import { type Choice, choicesIn } from "./choices.js";
import { Answers, Hidden, nothing } from "./hidden.js";
import { Interned, type Shape } from "./interned.js";
import { cameOf } from "./outcome.js";
import { PackedStates } from "./packed-states.js";

/** What a choice makes of a state, whatever lies where it was not looked. */
interface Outcome {
  /** The shape of the state after it; `stays` where that is the state before, `beyond` where the bounds end. */
  shape: number;
  /** What lies in its places: an entry, or `~i` what lay in the place i. */
  lying: Int32Array;
  isSameTop: boolean;
  lost: readonly Id[];
  isPassed: boolean;
}
const stays = -1;
const beyond = -2;

/** What can be done in the states of a shape, and what is seen in them. */
interface Standing {
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
  outcomes: Answers<Outcome>[];
}

/** What was seen in states, or on the way from one to another: how often, and where first. */
export interface Sighting {
  count: number;
  /** The state it was first seen in, and the choice there that shows it; -1 where the state shows it by itself. */
  state: number;
  choice: number;
}

/** What a walk looks out for. */
export type Watched = "trap" | "swipe" | "strips" | "unmet" | "passed" | "leaves" | "draft" | "round" | "stuck";

/** What a screen was first come to by. */
export interface ReachedScreen {
  state: number;
  taps: number;
  beginning: Beginning;
}

/** The end of a ladder, as it was found out so far. */
const enum End {
  unknown = 0,
  left = 1,
  stays = 2,
  round = 3,
  beyond = 4,
  looking = 5,
}

/**
 * The walk through every state that can be reached in one view: from every beginning, by everything a person can do, by what
 * screens do themselves, and by facts that change. What is done is the engine's: each event is run once for all states that
 * differ only in what it did not look at. It goes on in slices, and holds what was found so far.
 */
export class Walk {
  readonly lens: Lens;
  readonly states = new PackedStates();
  /** What a choice led to another state by. */
  edges = 0;
  readonly reached = new Map<Id, ReachedScreen>();
  /** Screens that something leads away from. */
  readonly left = new Set<Id>();
  /** What was seen, by the screen it was seen on. */
  readonly seen = new Map<Watched, Map<Id | null, Sighting>>();
  /** The screens that Back leads to, by the one it leads from. */
  readonly backTo = new Map<Id, Set<Id>>();
  /** What was not gone on to, by the node it is about. */
  readonly beyond = new Map<Id, Beyond>();
  /** The longest ladder, in Backs, and the state it begins in. */
  longest = { backs: 0, state: -1 };
  readonly beginnings: readonly Beginning[];
  readonly areFactsCut: boolean;
  /** More states were there than are gone on from. */
  isFull = false;
  /** Times the engine was asked. */
  asked = 0;

  private readonly interned: Interned;
  private readonly bounds: Bounds;
  private readonly standings: Answers<Standing>[] = [];
  private readonly isBeyond: (Beyond | null)[] = [];
  private readonly unmet = new Map<number, boolean>();
  private begun = 0;
  private next = 0;
  private nextByFacts = 0;
  private nextLadder = 0;
  private ends: Uint8Array | null = null;
  private ladders: Uint16Array | null = null;
  private scratch = new Int32Array(64);
  private target = new Int32Array(64);

  constructor(
    readonly frame: FixedFrame,
    readonly view: View,
    bounds: Partial<Bounds> = {},
  ) {
    this.lens = lensOf(frame, view);
    this.interned = new Interned(this.lens);
    this.bounds = { ...usualBounds, ...bounds };
    const { all, isCut } = beginningsOf(frame);
    this.beginnings = all;
    this.areFactsCut = isCut;
  }

  /** States gone on from so far, of all that were found. */
  get done(): number {
    return this.next;
  }

  /** Goes on from so many more states. False once there is nothing left to do. */
  advance(most: number): boolean {
    for (let i = 0; i < most; i += 1) {
      if (this.next < this.states.count) this.goOn(this.next++);
      else if (this.begun < this.beginnings.length) this.begin(this.begun++);
      else if (this.nextByFacts < this.states.count) this.goOnByFacts(this.nextByFacts++);
      else if (this.nextLadder < this.states.count) this.climb(this.nextLadder++);
      else return false;
    }
    return true;
  }

  /** The events that lead to a state, and how the app begins before them. */
  eventsTo(state: number): { beginning: Beginning; events: NavigationEvent[] } {
    const events: NavigationEvent[] = [];
    let at = state;
    for (let parent = this.states.parentOf(at); parent >= 0; at = parent, parent = this.states.parentOf(at)) {
      const choice = sure(this.standing(parent).choices[this.states.choiceOf(at)], "a choice");
      events.unshift(...choice.events);
    }
    return { beginning: sure(this.beginnings[-1 - this.states.parentOf(at)], "a beginning"), events };
  }

  /** The events that show what was seen. */
  eventsShowing({ state, choice }: Sighting): { beginning: Beginning; events: NavigationEvent[] } {
    const { beginning, events } = this.eventsTo(state);
    const last = this.standing(state).choices[choice];
    return { beginning, events: [...events, ...(last?.events ?? [])] };
  }

  private see(what: Watched, on: Id | null, state: number, choice = -1): void {
    let seen = this.seen.get(what);
    if (!seen) this.seen.set(what, (seen = new Map()));
    const known = seen.get(on);
    if (known) known.count += 1;
    else seen.set(on, { count: 1, state, choice });
  }

  private begin(index: number): void {
    const { facts, url } = sure(this.beginnings[index], "a beginning");
    const { state } = launch(this.frame, this.view, facts, url ?? undefined);
    const { shape, lying } = this.interned.packedAnew(state);
    const numbers = Int32Array.from([shape.id, ...lying]);
    if (!this.beyondBy(shape)) this.found(numbers, numbers.length, -1 - index, 0, 0);
  }

  private beyondBy(shape: Shape): Beyond | null {
    const known = this.isBeyond[shape.id];
    if (known !== undefined) return known;
    const found = beyondOf(shape.state, this.bounds);
    this.isBeyond[shape.id] = found;
    if (found && !this.beyond.has(found.node)) this.beyond.set(found.node, found);
    return found;
  }

  /** A state was come to: its number, less than 0 where there is no room for it. What a new one does by itself is followed at once, as it takes no tap. */
  private found(numbers: Int32Array, length: number, parent: number, choice: number, taps: number): number {
    const { states } = this;
    if (states.count >= this.bounds.mostStates) {
      const known = states.find(numbers, length);
      if (known < 0) this.isFull = true;
      return known;
    }
    const before = states.count;
    const state = states.add(numbers, length, parent, choice, taps);
    if (state < before) return state;
    const standing = this.standing(state);
    const { free } = standing;
    if (free < 0) return state;
    const outcome = this.outcome(state, standing, free);
    if (outcome.shape < 0) return state;
    const target = new Int32Array(1 + outcome.lying.length);
    this.found(target, this.fill(target, outcome, states.startOf(state)), state, free, taps);
    return state;
  }

  private standing(state: number): Standing {
    const { states, standings } = this;
    const start = states.startOf(state);
    const shape = states.numbers[start] ?? 0;
    const known = (standings[shape] ??= new Answers(this.interned));
    return known.find(states.numbers, start + 1) ?? this.lookAt(shape, start, known);
  }

  private lookAt(shape: number, start: number, known: Answers<Standing>): Standing {
    const { states, interned, lens } = this;
    const hidden = new Hidden();
    const state = interned.stateOf(sure(interned.shapes[shape], "a shape"), states.numbers, start + 1, hidden);
    this.asked += 1;
    const own = choicesIn(lens, state);
    const changes = factChanges(this.frame, state.facts).map((event): Choice => ({ events: [event], isFree: false }));
    const back = state.asking || state.outside ? null : backEvent(this.frame, this.view, state);
    const surface = surfaceIn(lens, state);
    const isOutside = state.outside;
    const standing: Standing = {
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
      outcomes: [],
    };
    if (isStuck(state)) this.stuckIn.add(standing);
    return known.keep(states.numbers, start + 1, hidden.asked, standing);
  }

  private readonly stuckIn = new Set<Standing>();

  private outcome(state: number, standing: Standing, choice: number): Outcome {
    const { numbers } = this.states;
    const start = this.states.startOf(state);
    const known = (standing.outcomes[choice] ??= new Answers(this.interned));
    return known.find(numbers, start + 1) ?? this.ask(start, standing, choice, known);
  }

  private ask(start: number, { choices, top }: Standing, choice: number, known: Answers<Outcome>): Outcome {
    const { states, interned } = this;
    const shape = sure(interned.shapes[states.numbers[start] ?? 0], "a shape");
    const hidden = new Hidden();
    const before = interned.stateOf(shape, states.numbers, start + 1, hidden);
    this.asked += 1;
    const { state, isSameTop, lost, isPassed } = cameOf(this.lens, before, sure(choices[choice], "a choice"));
    const outcome: Outcome = { shape: stays, lying: new Int32Array(0), isSameTop, lost, isPassed };
    if (state.root !== before.root || state.facts !== before.facts || !isBesides(state, before)) {
      const after = interned.packed(state, hidden);
      // what is laid anew may be what lay there: that is seen once it is known what lies there
      const isSame = after.shape === shape && after.lying.every((source, place) => ~source === place);
      if (!isSame) {
        outcome.shape = this.beyondBy(after.shape) ? beyond : after.shape.id;
        outcome.lying = Int32Array.from(after.lying);
      }
      if (top !== null && !isSameTop && !state.asking) this.left.add(top);
    }
    return known.keep(states.numbers, start + 1, hidden.asked, outcome);
  }

  /** Writes the numbers of the state that an outcome makes of the one that begins at `start`. Returns how many there are. */
  private fill(into: Int32Array, { shape, lying }: Outcome, start: number): number {
    const { numbers } = this.states;
    into[0] = shape;
    for (let i = 0; i < lying.length; i += 1) {
      const source = lying[i] ?? 0;
      into[i + 1] = source >= 0 ? source : (numbers[start + 1 + ~source] ?? 0);
    }
    return lying.length + 1;
  }

  private goOn(state: number): void {
    const standing = this.standing(state);
    this.look(state, standing);
    for (let choice = 0; choice < standing.own; choice += 1) {
      this.take(state, standing, choice);
    }
  }

  private goOnByFacts(state: number): void {
    const standing = this.standing(state);
    for (let choice = standing.own; choice < standing.choices.length; choice += 1) this.take(state, standing, choice);
  }

  private take(state: number, standing: Standing, choice: number): void {
    const outcome = this.outcome(state, standing, choice);
    for (const id of outcome.lost) this.see("draft", id, state, choice);
    if (outcome.shape === stays) return;
    if (outcome.shape === beyond) {
      this.edges += 1;
      return;
    }
    if (this.target.length <= outcome.lying.length) this.target = new Int32Array(2 * outcome.lying.length + 2);
    const { states } = this;
    const isFree = choice === standing.free;
    const length = this.fill(this.target, outcome, states.startOf(state));
    const next = this.found(this.target, length, state, choice, states.tapsOf(state) + (isFree ? 0 : 1));
    if (next === state) return;
    this.edges += 1;
    if (choice === standing.back) this.wentBack(state, standing, choice, next, outcome.isPassed);
  }

  /** What Back came to. */
  private wentBack(state: number, { top, back }: Standing, choice: number, next: number, isPassed: boolean): void {
    if (top === null || next < 0) return;
    const after = this.standing(next);
    if (isPassed) this.see("passed", after.top, state, choice);
    if (after.isOutside) this.see("leaves", top, state, back);
    if (after.isAsking || after.top === null || after.top === top) return;
    let tops = this.backTo.get(top);
    if (!tops) this.backTo.set(top, (tops = new Set()));
    tops.add(after.top);
  }

  /** What is seen in a state by itself. */
  private look(state: number, standing: Standing): void {
    for (const id of standing.screens)
      if (!this.reached.has(id)) {
        let first = state;
        while (this.states.parentOf(first) >= 0) first = this.states.parentOf(first);
        const beginning = sure(this.beginnings[-1 - this.states.parentOf(first)], "a beginning");
        this.reached.set(id, { state, taps: this.states.tapsOf(state), beginning });
      }
    const { top, isAsking } = standing;
    if (standing.strips > 1 && !isAsking) this.see("strips", top, state);
    if (this.stuckIn.has(standing)) this.see("stuck", top, state);
    if (standing.isSwipeAlone) this.see("swipe", top, state);
    if (standing.canGoUp && !isAsking && this.goesNowhere(state, standing)) this.see("trap", top, state);
    if (hasNeeds(this.frame) && this.isUnmet(state)) this.see("unmet", top, state);
  }

  /** Whether nothing goes back in a state. */
  private goesNowhere(state: number, standing: Standing): boolean {
    if (standing.back < 0) return true;
    if (standing.isSystemBack) return false;
    const { shape, isSameTop } = this.outcome(state, standing, standing.back);
    const [event] = standing.choices[standing.back]?.events ?? [];
    if (shape === stays || (event?.do === "tap" && isSameTop)) return true;
    return this.after(state, standing.back) === state;
  }

  /** Whether an entry is in a state whose needs are unmet; of what lies in places it is worked out once for all facts. */
  private isUnmet(state: number): boolean {
    const { states, interned } = this;
    const start = states.startOf(state);
    const end = start + 1 + this.placesOf(state);
    const shape = sure(interned.shapes[states.numbers[start] ?? 0], "a shape");
    const { facts } = shape.state;
    const ask = (number: number, root: () => Entry): boolean => {
      const key = number * 64 + interned.factsNumber(facts);
      let is = this.unmet.get(key);
      if (is === undefined) this.unmet.set(key, (is = lacksIn(this.frame, facts, root())));
      return is;
    };
    if (ask(-1 - shape.id, () => shape.state.root)) return true;
    for (let i = start + 1; i < end; i += 1) {
      const number = states.numbers[i] ?? nothing;
      const entry = interned.entries[number];
      if (entry && ask(number, () => entry)) return true;
    }
    return false;
  }

  private placesOf(state: number): number {
    return sure(this.interned.shapes[this.states.shapeOf(state)], "a shape").places;
  }

  /** The state that a choice leads to; less than 0 where it leads to none that was walked. */
  private after(state: number, choice: number): number {
    const outcome = this.outcome(state, this.standing(state), choice);
    if (outcome.shape === stays) return state;
    if (outcome.shape === beyond) return -1;
    if (this.scratch.length <= outcome.lying.length) this.scratch = new Int32Array(2 * outcome.lying.length + 2);
    return this.states.find(this.scratch, this.fill(this.scratch, outcome, this.states.startOf(state)));
  }

  /** The state after one Back, every question answered so that it is left; or how the ladder ends there. */
  private backFrom(state: number): number | End {
    const standing = this.standing(state);
    if (standing.isOutside) return -End.left;
    // a question is passed over: the state is the one before it
    if (standing.isAsking) return this.after(state, 1);
    if (this.goesNowhere(state, standing)) return -End.stays;
    const next = this.after(state, standing.back);
    if (next < 0) return -End.beyond;
    const through = this.standing(next).isAsking ? this.after(next, 0) : next;
    if (through < 0) return -End.beyond;
    return this.standing(through).isOutside ? -End.left : through;
  }

  /** Goes down the ladder of a state until it ends, or where it is known already. */
  private climb(from: number): void {
    const ends = (this.ends ??= new Uint8Array(this.states.count));
    const ladders = (this.ladders ??= new Uint16Array(this.states.count));
    const path: number[] = [];
    let at = from;
    let end: End = ends[at] ?? End.unknown;
    let backs = ladders[at] ?? 0;
    while (end === End.unknown) {
      ends[at] = End.looking;
      path.push(at);
      const next = this.backFrom(at);
      if (next < 0) {
        end = -next as End;
        backs = this.standing(at).isAsking ? 0 : -1;
        break;
      }
      at = next;
      end = ends[at] ?? End.unknown;
      backs = ladders[at] ?? 0;
    }
    if (end === End.looking) end = End.round;
    for (const state of path.reverse()) {
      const standing = this.standing(state);
      if (!standing.isAsking) backs += 1;
      ends[state] = end;
      ladders[state] = backs;
      if (end === End.round) this.see("round", standing.top, state);
      else if (backs > this.longest.backs) this.longest = { backs, state };
    }
  }
}

/** Whether something on the top screen goes back: a strip, or an action. */
const showsBack = ({ frame, view }: Lens, { facts }: State, { headers, top }: Surface): boolean => {
  if (headers.some(({ back, close }) => back || close)) return true;
  const { actions = [] } = top ? screenAt(frame, top.node) : {};
  return actions.some(({ only, do: act }) => goesBack(act) && isThere(frame, only, view, facts));
};

/** Whether two states are the same beside their entries and facts. */
const isBesides = (a: State, b: State): boolean =>
  a.drawer === b.drawer && a.pending === b.pending && a.asking === b.asking && a.outside === b.outside;

const lacksIn = (frame: FixedFrame, facts: Facts, entry: Entry): boolean => {
  if (!("params" in entry)) return false;
  if (unmetOf(frame, facts, entry.node)) return true;
  return entriesInside(entry).some((inner) => lacksIn(frame, facts, inner));
};
