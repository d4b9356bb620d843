import { type Lens, lensOf } from "../frame/look.js";
import { sure } from "../frame/sure.js";
import type { Id } from "../frame/parts.js";
import type { FixedFrame } from "../frame/types.js";
import type { View } from "../frame/view.js";
import type { NavigationEvent } from "../navigate/event.js";
import { takenAsHeld } from "../navigate/standing.js";
import type { State } from "../navigate/state.js";
import { launch } from "../navigate/step.js";
import { type Beginning, beginningsOf } from "./beginnings.js";
import { type Beyond, beyondOf, type Bounds, usualBounds } from "./bounds.js";
import { Answers, Hidden, nothing } from "./hidden.js";
import { asItLay, Interned, type Shape } from "./interned.js";
import { type Came, cameOf } from "./outcome.js";
import { Lacking } from "./lacking.js";
import { Ladders } from "./ladders.js";
import { PackedStates } from "./packed-states.js";
import { type Sighting, Sightings } from "./sightings.js";
import { type Standing, standingIn } from "./standing.js";

/** What a choice makes of a state, whatever lies where it was not looked. */
interface Outcome {
  /** The shape of the state after it; `stays` where that is the state before, `beyond` where the bounds end. */
  shape: number;
  /** What lies in its places, by where that comes from. */
  lying: Int32Array;
  isSameTop: boolean;
  lost: Came["lost"];
  lostIn: Came["lostIn"];
  isPassed: boolean;
}
/** What is known of the states of a shape. */
type Known = Standing<Answers<Outcome>>;

const stays = -1;
const beyond = -2;

/** What a screen was first come to by. */
export interface ReachedScreen {
  state: number;
  taps: number;
  beginning: Beginning;
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
  /** The state in which each screen was first on top. */
  readonly onTop = new Map<Id, number>();
  /** Screens that something leads away from. */
  readonly left = new Set<Id>();
  readonly seen = new Sightings();
  readonly ladders = new Ladders(this);
  /** The screens that Back leads to, by the one it leads from. */
  readonly backTo = new Map<Id, Set<Id>>();
  /** What was not gone on to, by the node it is about. */
  readonly beyond = new Map<Id, Beyond>();
  readonly beginnings: readonly Beginning[];
  readonly areFactsCut: boolean;
  /** More states were there than are gone on from: since then only those were that show another screen. */
  isFull = false;
  /** Times the engine was asked. */
  asked = 0;

  private readonly interned: Interned;
  private readonly bounds: Bounds;
  private readonly standings: Answers<Known>[] = [];
  private readonly isBeyond: (Beyond | null)[] = [];
  private readonly lacking: Lacking;
  private begun = 0;
  private next = 0;
  private nextByFacts = 0;
  private covered: { start: number; state: State; hidden: Hidden } | null = null;
  private readonly awaited = new Set<Id>();
  private readonly awaitedOnTop = new Set<Id>();
  private scratch = new Int32Array(64);
  private target = new Int32Array(64);

  constructor(
    readonly frame: FixedFrame,
    readonly view: View,
    bounds: Partial<Bounds> = {},
  ) {
    this.lens = lensOf(frame, view);
    this.interned = new Interned(this.lens);
    this.lacking = new Lacking(frame, this.interned);
    this.bounds = { ...usualBounds, ...bounds };
    const { all, isCut } = this.bounds.begin ? { all: this.bounds.begin, isCut: false } : beginningsOf(frame);
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
      else if (!this.bounds.keepsFacts && this.nextByFacts < this.states.count) this.goOnByFacts(this.nextByFacts++);
      else if (!this.bounds.climbs || !this.ladders.climbNext()) return false;
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
      if (known >= 0) return known;
      this.isFull = true;
      if (!this.isNews(this.standingOf(numbers, 0))) return -1;
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

  /** Whether a state shows a screen that no state before it showed: where there is room for no more, it is gone on to for that. */
  private isNews({ screens, top }: Known): boolean {
    const [all, tops] = [screens.filter((id) => !this.reached.has(id) && !this.awaited.has(id)), this.awaitedOnTop];
    const isTopNew = top !== null && !this.onTop.has(top) && !tops.has(top);
    for (const id of all) this.awaited.add(id);
    if (isTopNew) tops.add(top);
    return all.length > 0 || isTopNew;
  }

  /** What can be done in a state, and what is seen in it. */
  standing(state: number): Known {
    return this.standingOf(this.states.numbers, this.states.startOf(state));
  }

  /** What can be done in the state whose numbers begin there. */
  private standingOf(numbers: Int32Array, start: number): Known {
    const shape = numbers[start] ?? 0;
    const known = (this.standings[shape] ??= new Answers());
    return known.find(numbers, start + 1) ?? this.lookAt(shape, numbers, start, known);
  }

  private lookAt(shape: number, numbers: Int32Array, start: number, known: Answers<Known>): Known {
    const { interned, lens } = this;
    const hidden = new Hidden();
    const state = interned.stateOf(sure(interned.shapes[shape], "a shape"), numbers, start + 1, hidden);
    this.asked += 1;
    const standing: Known = standingIn(lens, state);
    return known.keep(numbers, start + 1, hidden.asked, standing);
  }

  private outcome(state: number, standing: Known, choice: number): Outcome {
    const { numbers } = this.states;
    const start = this.states.startOf(state);
    const known = (standing.outcomes[choice] ??= new Answers());
    return known.find(numbers, start + 1) ?? this.ask(start, standing, choice, known);
  }

  /** The state whose numbers begin there, as the engine takes it: made once for all that is tried in it. */
  private coveredAt(start: number): { state: State; hidden: Hidden } {
    const { covered, interned, states } = this;
    if (covered?.start === start) {
      covered.hidden.asked.length = 0;
      // an event that left it as it is may have said that other facts hold in it
      takenAsHeld(this.frame, covered.state);
      return { state: { ...covered.state, nextKey: interned.nextKey }, hidden: covered.hidden };
    }
    const hidden = new Hidden();
    const shape = sure(interned.shapes[states.numbers[start] ?? 0], "a shape");
    const state = interned.stateOf(shape, states.numbers, start + 1, hidden);
    this.covered = { start, state, hidden };
    return { state, hidden };
  }

  private ask(start: number, { choices, top }: Known, choice: number, known: Answers<Outcome>): Outcome {
    const { states, interned } = this;
    const shape = interned.shapes[states.numbers[start] ?? 0];
    const { state: before, hidden } = this.coveredAt(start);
    this.asked += 1;
    const came = cameOf(this.lens, before, hidden, sure(choices[choice], "a choice"));
    const { state, isSameTop, lost, lostIn, isPassed } = came;
    const outcome: Outcome = { shape: stays, lying: new Int32Array(0), isSameTop, lost, lostIn, isPassed };
    if (state.root !== before.root || state.facts !== before.facts || !isBesides(state, before)) {
      const after = interned.packed(state, hidden);
      // what is laid anew may be what lay there: that is seen once it is known what lies there
      const isSame = after.shape === shape && after.lying.every((source, place) => source === asItLay(place));
      if (!isSame) {
        const isKept = !this.bounds.keepsFacts || interned.areSame(state.facts, before.facts);
        outcome.shape = isKept && !this.beyondBy(after.shape) ? after.shape.id : beyond;
        outcome.lying = Int32Array.from(after.lying);
      }
      if (top !== null && !isSameTop && !state.asking) this.left.add(top);
    }
    return known.keep(states.numbers, start + 1, hidden.asked, outcome);
  }

  /** Writes the numbers of the state that an outcome makes of the one that begins at `start`. Returns how many there are. */
  private fill(into: Int32Array, { shape, lying }: Outcome, start: number): number {
    const { interned, states } = this;
    const { numbers } = states;
    into[0] = shape;
    for (let i = 0; i < lying.length; i += 1) into[i + 1] = interned.lain(lying[i] ?? nothing, numbers, start);
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

  private take(state: number, standing: Known, choice: number): void {
    const outcome = this.outcome(state, standing, choice);
    if (outcome.lost.length + outcome.lostIn.length > 0) this.lose(state, choice, outcome);
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

  /** Drafts were lost: each screen that held one is told once. */
  private lose(state: number, choice: number, { lost, lostIn }: Outcome): void {
    const { states, interned } = this;
    const screens = new Set(lost);
    for (const { place, but } of lostIn)
      for (const id of sure(interned.drafts[states.numbers[states.startOf(state) + 1 + place] ?? nothing]))
        if (id !== but) screens.add(id);
    for (const id of screens) this.seen.see("draft", id, state, choice);
  }

  /** What Back came to. */
  private wentBack(state: number, { top, back }: Known, choice: number, next: number, isPassed: boolean): void {
    if (top === null || next < 0) return;
    const after = this.standing(next);
    if (isPassed) this.seen.see("passed", after.top, state, choice);
    if (after.isOutside) this.seen.see("leaves", top, state, back);
    if (after.isAsking || after.top === null || after.top === top) return;
    let tops = this.backTo.get(top);
    if (!tops) this.backTo.set(top, (tops = new Set()));
    tops.add(after.top);
  }

  /** What is seen in a state by itself. */
  private look(state: number, standing: Known): void {
    for (const id of standing.screens)
      if (!this.reached.has(id)) {
        let first = state;
        while (this.states.parentOf(first) >= 0) first = this.states.parentOf(first);
        const beginning = sure(this.beginnings[-1 - this.states.parentOf(first)], "a beginning");
        this.reached.set(id, { state, taps: this.states.tapsOf(state), beginning });
      }
    const { top, isAsking } = standing;
    if (top !== null && !isAsking && !this.onTop.has(top)) this.onTop.set(top, state);
    if (standing.strips > 1 && !isAsking) this.seen.see("strips", top, state);
    if (standing.isStuck) this.seen.see("stuck", top, state);
    if (standing.isSwipeAlone) this.seen.see("swipe", top, state);
    if (standing.canGoUp && !isAsking && this.goesNowhere(state, standing)) this.seen.see("trap", top, state);
    if (this.lacking.isIn(this.states.numbers, this.states.startOf(state))) this.seen.see("unmet", top, state);
  }

  /** Whether nothing goes back in a state. */
  goesNowhere(state: number, standing = this.standing(state)): boolean {
    if (standing.back < 0) return true;
    if (standing.isSystemBack) return false;
    const { shape, isSameTop } = this.outcome(state, standing, standing.back);
    const [event] = standing.choices[standing.back]?.events ?? [];
    if (shape === stays || (event?.do === "tap" && isSameTop)) return true;
    return this.after(state, standing.back) === state;
  }

  /** The state that a choice leads to; less than 0 where it leads to none that was walked. */
  after(state: number, choice: number): number {
    const outcome = this.outcome(state, this.standing(state), choice);
    if (outcome.shape === stays) return state;
    if (outcome.shape === beyond) return -1;
    if (this.scratch.length <= outcome.lying.length) this.scratch = new Int32Array(2 * outcome.lying.length + 2);
    return this.states.find(this.scratch, this.fill(this.scratch, outcome, this.states.startOf(state)));
  }
}

/** Whether two states are the same beside their entries and facts. */
const isBesides = (a: State, b: State): boolean =>
  a.drawer === b.drawer && a.pending === b.pending && a.asking === b.asking && a.outside === b.outside;
