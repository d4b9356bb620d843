import { type Lens } from "../frame/look.js";
import { sure } from "../frame/sure.js";
import { type Facts, type Id, noParams } from "../frame/parts.js";
import { entriesInside, mapAll } from "../navigate/entries.js";
import { emptyUi, type Entry, type HubEntry, type State } from "../navigate/state.js";
import { notVisited } from "../navigate/sweep.js";
import { visitsAfter } from "../navigate/visits.js";
import { takenAsHeld } from "../navigate/standing.js";
import { factsText } from "./asked-facts.js";
import { type Bare, BareReader, type LeaveOut } from "./bare.js";
import { Hidden, nothing, openIn, placeFor, visitsFor, type VisitStep, withPlaces } from "./hidden.js";

/** A state with places in it, for what lies in tabs in the background. */
export interface Shape {
  id: number;
  state: State;
  /** How many places it has. */
  places: number;
  /** The parts of it that hold a place. */
  open: ReadonlySet<Entry>;
}

/**
 * Where what lies in a place comes from: an entry by its number; less than 0 for what lay in a place before, as it was or with
 * something done to it.
 */
export type Source = number;

/** The source that is what lay in a place. */
export const asItLay = (place: number): Source => ~(place << 1);

/** A state as numbers. */
export interface Packed {
  shape: Shape;
  lying: Source[];
}

/** The screens in an entry that hold a draft. */
const draftsIn = (entry: Entry): Id[] => {
  const inside = entry.kind === "hub" ? Object.values(entry.tabs) : entriesInside(entry);
  const own = Object.values(entry.ui.drafts).some((text) => text !== "") ? [entry.node] : [];
  return [...own, ...inside.flatMap(draftsIn)];
};

/** What a tab that was not made is taken for: something with nothing in it. */
const standIn = (node: Id): Entry => ({
  kind: "screen",
  key: unmadeKey,
  node,
  params: noParams,
  carried: noParams,
  opens: null,
  motion: null,
  ui: emptyUi,
  since: 0,
});
const unmadeKey = -1;

const keyedHigher = (entry: Entry, by: number): Entry => {
  const inside = entry.kind === "screen" ? entry : mapAll(entry, (inner) => keyedHigher(inner, by));
  return { ...inside, key: entry.key + by };
};

/** States made of few numbers: a shape, and an entry for each place in it. What is equal has the same number. */
export class Interned {
  readonly shapes: Shape[] = [];
  /** The tabs that were left before, by the number they lie in a place with. */
  private readonly visits = new Map<number, readonly Id[]>();
  /** What lies in places, by number, and the screens in it that hold a draft; null for what is no entry. */
  readonly entries: (Entry | null)[] = [null];
  readonly drafts: (readonly Id[])[] = [[]];
  private readonly steps: { place: number; done: readonly VisitStep[]; made: Map<number, number> }[] = [];
  private readonly stepsAt = new Map<string, number>();
  private readonly shapeOf = new Map<string, Shape>();
  private readonly entryOf = new Map<string, number>();
  private readonly factsOf = new Map<string, { facts: Facts; text: string }>();
  private readonly numberOf = new Map<Facts, number>();
  private readonly texts = new WeakMap<Entry, string>();
  // no key is used twice, so that what lies in a place goes with every shape
  nextKey = 1;

  constructor(readonly lens: Lens) {}

  /** The state of a shape, with what lies in its places covered. */
  stateOf(shape: Shape, lying: Int32Array, from: number, hidden: Hidden): State {
    const { state, open } = shape;
    const { nextKey } = this;
    if (open.size === 0) return { ...state, nextKey };
    const tab = (place: number, node: Id): Entry => {
      const number = sure(lying[from + place]);
      const isUnmade = number === nothing;
      const entry = isUnmade ? standIn(node) : sure(this.entries[number], "what lies in a place");
      return hidden.cover(entry, place, isUnmade);
    };
    const visits = (place: number, hub: HubEntry): readonly Id[] => {
      const left = sure(this.visits.get(sure(lying[from + place])), "the visits in a place");
      return hidden.coverVisits(left, place, notVisited(this.lens.frame, state.facts, hub));
    };
    const root = withPlaces(state.root, open, { tab, visits });
    if (root.kind !== "stack") throw new Error("the root is no stack");
    const whole = { ...state, root, nextKey };
    takenAsHeld(this.lens.frame, whole);
    return whole;
  }

  /** A state of another run as numbers, its keys made such as no other state has. */
  packedAnew(state: State): Packed {
    const by = this.nextKey;
    const root = keyedHigher(state.root, by);
    if (root.kind !== "stack") throw new Error("the root is no stack");
    const pending = state.pending && { ...state.pending, standIn: state.pending.standIn + by };
    return this.packed({ ...state, root, pending, nextKey: state.nextKey + by }, new Hidden());
  }

  /** A state as numbers; what is still covered in it lies where it lay. */
  packed(state: State, hidden: Hidden): Packed {
    this.nextKey = Math.max(this.nextKey, state.nextKey);
    const lying: Source[] = [];
    const leaveOut: LeaveOut = {
      tab: (id, tab) => {
        const place = tab && hidden.unlooked(tab);
        lying.push(place !== undefined ? asItLay(place) : tab ? this.entry(tab) : nothing);
        return placeFor(id, lying.length - 1);
      },
      visits: (visits) => {
        const place = hidden.unlooked(visits);
        lying.push(place !== undefined ? this.stepped(place, hidden.stepsOf(visits)) : this.visitsNumber(visits));
        return visitsFor(lying.length - 1);
      },
    };
    const { facts, text: factsText } = this.facts(state.facts);
    const bare = new BareReader(this.lens, leaveOut, this.texts).state(state);
    const shape = this.shape({ text: `${factsText} ${bare.text}`, state: { ...bare.state, facts } }, lying.length);
    return { shape, lying };
  }

  private shape({ text, state }: Bare, places: number): Shape {
    let shape = this.shapeOf.get(text);
    if (!shape) {
      shape = { id: this.shapes.length, state, places, open: openIn(state.root) };
      takenAsHeld(this.lens.frame, state);
      this.shapes.push(shape);
      this.shapeOf.set(text, shape);
    }
    return shape;
  }

  /** The source that is the visits of a place once something is done to them. */
  private stepped(place: number, done: readonly VisitStep[]): Source {
    if (done.length === 0) return asItLay(place);
    const text = `${place} ${done.map(({ gone, added }) => `${gone.join()}>${added}`).join(";")}`;
    let index = this.stepsAt.get(text);
    if (index === undefined) {
      this.stepsAt.set(text, (index = this.steps.length));
      this.steps.push({ place, done, made: new Map() });
    }
    return ~((index << 1) | 1);
  }

  /** The number that lies in a place by its source, after a state whose numbers begin at `start`. */
  lain(source: Source, numbers: Int32Array, start: number): number {
    if (source >= 0) return source;
    const index = ~source >> 1;
    if ((source & 1) !== 0) return numbers[start + 1 + index] ?? nothing;
    const { place } = sure(this.steps[index], "what is done to visits");
    return this.visitsOnce(index, numbers[start + 1 + place] ?? nothing);
  }

  /** The number of visits once something is done to those of a number. */
  private visitsOnce(index: number, lay: number): number {
    const { done, made } = sure(this.steps[index], "what is done to visits");
    let after = made.get(lay);
    if (after === undefined) {
      const before = sure(this.visits.get(lay), "visits");
      after = this.visitsNumber(done.reduce((visits, { gone, added }) => visitsAfter(visits, gone, added), before));
      made.set(lay, after);
    }
    return after;
  }

  private visitsNumber(visits: readonly Id[]): number {
    const text = `visits ${visits.join()}`;
    let id = this.entryOf.get(text);
    if (id === undefined) {
      this.entryOf.set(text, (id = this.entries.length));
      this.visits.set(id, [...visits]);
      this.entries.push(null);
      this.drafts.push([]);
    }
    return id;
  }

  private entry(entry: Entry): number {
    const reader = new BareReader(this.lens, null, this.texts);
    const read = reader.entry(entry);
    let id = this.entryOf.get(reader.text);
    if (id === undefined) {
      this.entryOf.set(reader.text, (id = this.entries.length));
      this.entries.push(read);
      this.drafts.push(draftsIn(read));
    }
    return id;
  }

  /** The one object for all facts that are the same in what is asked. */
  private facts(facts: Facts): { facts: Facts; text: string } {
    const text = factsText(this.lens.frame, facts);
    let known = this.factsOf.get(text);
    if (!known) {
      this.factsOf.set(text, (known = { facts, text }));
      this.numberOf.set(facts, this.numberOf.size);
    }
    return known;
  }

  /** Whether facts are the same in what is asked. */
  areSame(a: Facts, b: Facts): boolean {
    return a === b || factsText(this.lens.frame, a) === factsText(this.lens.frame, b);
  }

  /** The number of the facts of a shape. */
  factsNumber(facts: Facts): number {
    return sure(this.numberOf.get(facts), "the number of facts");
  }
}
