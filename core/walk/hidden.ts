import type { Id } from "../frame/parts.js";
import { entriesInside, withEntries, withHub, withPair } from "../navigate/entries.js";
import type { Note } from "../navigate/notes.js";
import type { Entry, HubEntry } from "../navigate/state.js";
import { holdsNone, visitsAfter, type VisitsKept } from "../navigate/visits.js";

// What lies in a tab in the background is shown to the engine as something that tells when it is looked into. An event that
// came to its end without doing so does the same whatever lies there, so that it has to be run but once.

/** A place for what lies in a tab in the background, in a state that leaves it open. */
interface Place {
  node: Id;
  key: number;
  place: number;
}

/** What holds a place in a state: only its node is known. */
export const placeFor = (node: Id, place: number): Entry => {
  const holder: unknown = { node, key: Number.MIN_SAFE_INTEGER + place, place } satisfies Place;
  return holder as Entry;
};

const placeOf = (thing: object): number | undefined => (thing as Partial<Place>).place;

/** What holds the place of the tabs that were left before. */
export const visitsFor = (place: number): readonly Id[] => Object.assign([], { place });

/** What may be asked: twice the number of a place for whether anything lies there, and one more for what lies there. */
type Question = number;
const [isThere, lies] = [0, 1] as const;

/** The number of what lies where nothing does: a tab that was not made. */
export const nothing = 0;

/** What was done to the tabs left before: some were taken out, one was added. */
export interface VisitStep {
  gone: readonly Id[];
  added: Id | null;
}

/** What lies in the background while one event is run, and what was asked about it. */
export class Hidden {
  /** What was asked, the first question first. */
  readonly asked: Question[] = [];
  private readonly covers = new Map<object, number>();
  private readonly lost = new Map<Note, number>();
  private readonly steps = new Map<readonly Id[], readonly VisitStep[]>();

  private ask(place: number, kind: typeof isThere | typeof lies): void {
    const question = (place << 1) | kind;
    if (!this.asked.includes(question)) this.asked.push(question);
  }

  /** The entry as something that tells when it is looked into, and when it is lost as a whole; `isUnmade` where it stands for nothing. */
  cover(entry: Entry, place: number, isUnmade: boolean): Entry {
    const look = (): void => {
      this.ask(place, isThere);
      if (!isUnmade) this.ask(place, lies);
    };
    const { node } = entry;
    const ifLost: Note = { code: "draft-lost", node, args: { screen: { id: node }, field: "" } };
    this.lost.set(ifLost, place);
    const cover = new Proxy(entry, {
      get: (target, key) => {
        if (key === "ifLost") return ifLost;
        if (key === "isUnmade" || key === "kind") this.ask(place, isThere);
        else if (key !== "node" && key !== "key") look();
        return key === "isUnmade" ? isUnmade : Reflect.get(target, key);
      },
      has: (target, key) => {
        look();
        return Reflect.has(target, key);
      },
      ownKeys: (target) => {
        look();
        return Reflect.ownKeys(target);
      },
      getOwnPropertyDescriptor: (target, key) => {
        look();
        return Reflect.getOwnPropertyDescriptor(target, key);
      },
    });
    this.covers.set(cover, place);
    return cover;
  }

  /** The tabs that were left before, likewise; `absent` are known not to be among them, and `steps` is what was done to them. */
  coverVisits(
    visits: readonly Id[],
    place: number,
    absent: readonly Id[],
    steps: readonly VisitStep[] = [],
  ): readonly Id[] {
    const kept: Required<VisitsKept> = {
      visitsAfter: (gone, added) => {
        if (added === null && gone.every((id) => absent.includes(id))) return cover;
        const without = [...absent, ...gone].filter((id) => id !== added);
        return this.coverVisits(visitsAfter(visits, gone, added), place, without, [...steps, { gone, added }]);
      },
      holdsNone: (ids) => {
        if (ids.every((id) => absent.includes(id))) return true;
        this.ask(place, lies);
        return holdsNone(visits, ids);
      },
    };
    const cover = new Proxy(visits, {
      get: (target, key) => {
        if (key === "visitsAfter" || key === "holdsNone") return this.isLookedInto(place) ? undefined : kept[key];
        this.ask(place, lies);
        return Reflect.get(target, key);
      },
    });
    this.covers.set(cover, place);
    if (steps.length > 0) this.steps.set(cover, steps);
    return cover;
  }

  private isLookedInto(place: number): boolean {
    return this.asked.includes((place << 1) | lies);
  }

  /** The place whose entry was lost as a whole, where a note says that of one. */
  lostIn(note: Note): number | undefined {
    return this.lost.get(note);
  }

  /** The place of what is still covered; undefined where it is not, or was looked into. */
  unlooked(thing: object): number | undefined {
    const place = this.covers.get(thing);
    return place === undefined || this.isLookedInto(place) ? undefined : place;
  }

  /** What was done to the visits of a place that are still covered. */
  stepsOf(visits: readonly Id[]): readonly VisitStep[] {
    return this.steps.get(visits) ?? [];
  }
}

/** The containers of a tree that hold a place somewhere, and the places themselves. */
export const openIn = (entry: Entry, open = new Set<Entry>()): ReadonlySet<Entry> => {
  const inside = placeOf(entry) === undefined ? entriesInside(entry) : [];
  for (const inner of inside) openIn(inner, open);
  const isOpen = placeOf(entry) !== undefined || (entry.kind === "hub" && placeOf(entry.visits) !== undefined);
  if (isOpen || inside.some((inner) => open.has(inner))) open.add(entry);
  return open;
};

/** What takes the places of a tree. */
interface Taken {
  tab: (place: number, node: Id) => Entry;
  visits: (place: number, of: HubEntry) => readonly Id[];
}

/** A tree with each place in it taken by something else; `open` are the parts of it that hold one. */
export const withPlaces = (entry: Entry, open: ReadonlySet<Entry>, taken: Taken): Entry => {
  if (!open.has(entry)) return entry;
  const place = placeOf(entry);
  if (place !== undefined) return taken.tab(place, entry.node);
  const inside = (inner: Entry): Entry => withPlaces(inner, open, taken);
  switch (entry.kind) {
    case "screen":
      return entry;
    case "stack":
      return withEntries(entry, entry.entries.map(inside));
    case "hub": {
      const tabs: Record<string, Entry> = {};
      for (const [id, tab] of Object.entries(entry.tabs)) tabs[id] = inside(tab);
      const visited = placeOf(entry.visits);
      return withHub(entry, { tabs, ...(visited !== undefined && { visits: taken.visits(visited, entry) }) });
    }
    case "pair":
      return withPair(entry, { list: inside(entry.list), detail: entry.detail && inside(entry.detail) });
  }
};

/** What is known by what was asked: one question after another, until there is an answer. */
class Known<T> {
  /** What is known further, by what is said to the question. */
  readonly by: (Known<T> | undefined)[] = [];

  constructor(
    /** Less than 0 where this is the answer. */
    readonly question: Question,
    readonly answer: T | undefined,
  ) {}
}

/** What is said to a question, where `lying` has what lies in each place from `from` on. */
const said = (question: Question, lying: Int32Array, from: number): number => {
  const entry = lying[from + (question >> 1)] ?? nothing;
  return (question & 1) === lies ? entry : Number(entry !== nothing);
};

/** Answers kept by what had to be asked to find them. */
export class Answers<T> {
  private first: Known<T> | undefined;

  /** The answer for what lies in each place; undefined where it is not known. */
  find(lying: Int32Array, from: number): T | undefined {
    let at = this.first;
    while (at && at.question >= 0) at = at.by[said(at.question, lying, from)];
    return at?.answer;
  }

  /** Keeps an answer, and returns it. */
  keep(lying: Int32Array, from: number, asked: readonly Question[], answer: T): T {
    let put = (known: Known<T>): void => {
      this.first = known;
    };
    let at = this.first;
    for (const question of asked) {
      if (!at) put((at = new Known<T>(question, undefined)));
      if (at.question !== question) throw new Error("what is asked first differs");
      const { by } = at;
      const word = said(question, lying, from);
      put = (known) => {
        by[word] = known;
      };
      at = by[word];
    }
    put(new Known(-1, answer));
    return answer;
  }
}
