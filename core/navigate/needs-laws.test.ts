import fc from "fast-check";
import { choicesAt } from "../explore/route.js";
import { childrenOf, factsOf, factValues } from "../frame/defaults.js";
import { indexOf } from "../frame/frame-index.js";
import { factCombinations, hasNeeds, unmetOf } from "../frame/needs.js";
import type { Facts, Id } from "../frame/parts.js";
import type { Frame } from "../frame/types.js";
import { viewOf } from "../frame/view.js";
import { mayStart } from "../frame/way-in.js";
import { anyFrame } from "../testing/arbitrary.js";
import { entriesInside, pathTo } from "./entries.js";
import type { NavigationEvent } from "./event.js";
import { sightOf } from "./sight.js";
import { lensOf } from "../frame/look.js";
import { type Entry, isStuck, type State } from "./state.js";
import { launch, step, stepThrough } from "./step.js";

// A second reading of what may be shown, by a plain search: from nothing, nodes are added as long as any can be shown with
// those that are there already.

const startOf = (frame: Frame, id: Id): Id | undefined => {
  const node = frame.nodes[id]!;
  if (node.kind === "screen") return undefined;
  return node.kind === "pair" ? node.list : (node.start ?? node.children[0]);
};

/** The need that stops a node's start, or that one's start, and so on. */
const stopsAt = (frame: Frame, facts: Facts, id: Id): Id | undefined => {
  for (let at: Id | undefined = id; at !== undefined; at = startOf(frame, at)) {
    const need = unmetOf(frame, facts, at);
    if (need) return need.otherwise;
  }
  return undefined;
};

/** All nodes of which something may be shown as they start. */
const showable = (frame: Frame, facts: Facts): ReadonlySet<Id> => {
  const found = new Set<Id>();
  const isMet = (id: Id): boolean => unmetOf(frame, facts, id) === undefined;
  const canBe = (id: Id): boolean => {
    const node = frame.nodes[id]!;
    const start = startOf(frame, id);
    if (!isMet(id)) return false;
    if (start === undefined || found.has(start)) return true;
    if ((node.kind === "hub" || id === frame.root) && childrenOf(node).some((child) => found.has(child))) return true;
    const otherwise = node.kind === "pair" ? undefined : stopsAt(frame, facts, start);
    if (otherwise === undefined || !found.has(otherwise)) return false;
    const { places, ways } = indexOf(frame);
    const place = (places.get(otherwise) ?? []).find((each) => ways.get(each)!.includes(id));
    const way = place === undefined ? [] : ways.get(place)!.slice(ways.get(place)!.indexOf(id));
    const holdsList = (at: Id, i: number): boolean => {
      const pair = frame.nodes[at]!;
      return pair.kind !== "pair" || ([...way, otherwise][i + 1] === pair.list ? true : found.has(pair.list!));
    };
    return way.length > 0 && way.every((at, i) => isMet(at) && holdsList(at, i));
  };
  for (let before = -1; before < found.size;) {
    before = found.size;
    for (const id of Object.keys(frame.nodes)) if (!found.has(id) && canBe(id)) found.add(id);
  }
  return found;
};

/** The first entry that may not be there. */
const unmetIn = (frame: Frame, facts: Facts, entry: Entry): Id | undefined =>
  unmetOf(frame, facts, entry.node)
    ? entry.node
    : entriesInside(entry)
        .map((inner) => unmetIn(frame, facts, inner))
        .find((id) => id !== undefined);

const anyNeedy = (): fc.Arbitrary<Frame> => anyFrame().filter((frame) => hasNeeds(frame));

test("what may be shown is what a plain search finds", () => {
  fc.assert(
    fc.property(anyNeedy(), (frame) => {
      for (const facts of factCombinations(frame)) {
        const found = showable(frame, facts);
        for (const id of indexOf(frame).ways.keys())
          expect([id, mayStart(frame, facts, id)]).toEqual([id, found.has(id)]);
      }
    }),
    { numRuns: 150, endOnFailure: true },
  );
});

/** Everything that may happen in a state: what a person could do, other facts, the end of the app. */
const eventsIn = (frame: Frame, state: State): NavigationEvent[] => {
  const facts = factsOf(frame).flatMap((fact): NavigationEvent[] =>
    factValues(fact).map((is) => ({ do: "fact", id: fact.id, is })),
  );
  if (state.outside) return [{ do: "return" }, ...facts];
  const choices = isStuck(state) ? [] : choicesAt(frame, viewOf(frame), state).flatMap((way) => way.slice(0, 1));
  return [...choices, ...facts, { do: "kill" }, { do: "back" }];
};

test("in every state that can be reached nothing is there that may not be, and nobody is stuck while something may be shown", () => {
  fc.assert(
    fc.property(anyNeedy(), (frame) => {
      const view = viewOf(frame);
      const known = new Map<string, ReadonlySet<Id>>();
      const found = (facts: Facts): ReadonlySet<Id> => {
        const key = JSON.stringify(facts);
        const before = known.get(key) ?? showable(frame, facts);
        known.set(key, before);
        return before;
      };
      const seen = new Set<string>();
      const look = (state: State, by: unknown): boolean => {
        expect([by, unmetIn(frame, state.facts, state.root)]).toEqual([by, undefined]);
        if (isStuck(state)) expect([by, found(state.facts).has(frame.root)]).toEqual([by, false]);
        if (state.pending) expect(pathTo(state.root, state.pending.standIn)).not.toBeNull();
        const shape = JSON.stringify(state.root, (key, value: unknown) =>
          key === "key" || key === "since" ? 0 : value,
        );
        const isNew = !seen.has(shape + JSON.stringify(state.facts));
        seen.add(shape + JSON.stringify(state.facts));
        return isNew;
      };
      const first = launch(frame, view).state;
      look(first, "launch");
      const waiting = [first];
      for (let at = waiting.shift(); at !== undefined && seen.size < 60; at = waiting.shift()) {
        for (const event of eventsIn(frame, at)) {
          const { state } = step(frame, view, at, event);
          if (look(state, event)) waiting.push(state);
        }
        if (at.outside || isStuck(at)) continue;
        // a tab that is free is gone to when it is chosen
        for (const bar of sightOf(lensOf(frame, view), at).bars.filter(
          ({ inert, face, open }) => !inert && (face !== "drawer" || open),
        ))
          for (const tab of bar.tabs.filter((id) => found(at!.facts).has(id))) {
            const { state } = stepThrough(frame, view, at, { do: "tab", to: tab });
            const hub = pathTo(state.root, bar.key)?.at(-1);
            if (hub?.kind === "hub") expect([tab, hub.active]).toEqual([tab, tab]);
          }
      }
    }),
    { numRuns: 60, endOnFailure: true },
  );
});
