import { factsOf, factValues } from "./defaults.js";
import { indexOf } from "./frame-index.js";
import { withHolders } from "./holders.js";
import type { Facts, FactValue, Id, Need } from "./parts.js";
import type { FixedFrame } from "./types.js";

/** The values of its fact that meet a need. */
export const valuesOf = ({ is }: Need): readonly FactValue[] => (Array.isArray(is) ? is : [is]);

/** Whether the facts meet a need. */
export const isMet = (facts: Facts, need: Need): boolean => valuesOf(need).some((value) => value === facts[need.fact]);

/** Whether the facts that `b` names are as there. */
export const sameFacts = (a: Facts, b: Facts): boolean =>
  a === b || Object.keys(b).every((id) => Object.hasOwn(a, id) && a[id] === b[id]);

/** The first need of a node that the facts do not meet; undefined when all are met. */
export const unmetOf = (frame: FixedFrame, facts: Facts, id: Id): Need | undefined =>
  frame.nodes[id]?.needs?.find((need) => !isMet(facts, need));

/** A node whose need is not met. */
export interface Unmet {
  id: Id;
  need: Need;
}

/** The first of some nodes with a need that the facts do not meet; null when all are met. */
export const firstUnmet = (frame: FixedFrame, facts: Facts, ids: Iterable<Id>): Unmet | null => {
  for (const id of ids) {
    const need = unmetOf(frame, facts, id);
    if (need) return { id, need };
  }
  return null;
};

/** Whether a node may be shown where it stands, by one of its places. */
export const mayStand = (frame: FixedFrame, facts: Facts, id: Id): boolean => {
  const { places, ways } = indexOf(frame);
  if (unmetOf(frame, facts, id)) return false;
  return (
    id === frame.root ||
    (places.get(id) ?? []).some((place) => firstUnmet(frame, facts, ways.get(place) ?? []) === null)
  );
};

/** Every need between the root and a node, by its first place, outermost first, its own last. */
export const needsAbove = (frame: FixedFrame, id: Id): Unmet[] => {
  const { places, ways } = indexOf(frame);
  const place = places.get(id)?.[0];
  const way = [...(place === undefined ? [] : (ways.get(place) ?? [])), id];
  return way.flatMap((at) => (frame.nodes[at]?.needs ?? []).map((need) => ({ id: at, need })));
};

const standIns = new WeakMap<FixedFrame["nodes"], ReadonlyMap<Id, readonly Unmet[]>>();
const nothing: readonly Unmet[] = [];

/** The needs that a node stands in for when they are not met, each with the node that has it. */
export const standsInFor = (frame: FixedFrame, id: Id): readonly Unmet[] => {
  let known = standIns.get(frame.nodes);
  if (!known) {
    const found = new Map<Id, Unmet[]>();
    for (const [of, node] of Object.entries(frame.nodes))
      for (const need of node.needs ?? []) {
        if (need.otherwise === undefined) continue;
        const others = found.get(need.otherwise);
        if (others) others.push({ id: of, need });
        else found.set(need.otherwise, [{ id: of, need }]);
      }
    standIns.set(frame.nodes, (known = found));
  }
  return known.get(id) ?? nothing;
};

const withNeeds = new WeakMap<FixedFrame, boolean>();

/** Whether any node of the frame needs anything. */
export const hasNeeds = (frame: FixedFrame): boolean => {
  let has = withNeeds.get(frame);
  if (has === undefined)
    withNeeds.set(frame, (has = Object.values(frame.nodes).some((node) => (node.needs?.length ?? 0) > 0)));
  return has;
};

const needyWithin = new WeakMap<FixedFrame["nodes"], ReadonlySet<Id>>();

/** Whether a node, or something in it, needs anything. */
export const needsWithin = (frame: FixedFrame, id: Id): boolean => {
  if (!hasNeeds(frame)) return false;
  let needy = needyWithin.get(frame.nodes);
  if (!needy) {
    const own = Object.keys(frame.nodes).filter((at) => frame.nodes[at]?.needs?.length);
    needyWithin.set(frame.nodes, (needy = withHolders(frame, own)));
  }
  return needy.has(id);
};

/** A value of a fact as a person reads it. */
export const valueWord = (is: FactValue): string => (is === true ? "yes" : is === false ? "no" : is);

/** A fact with its value in words: `Signed in: no`, `Session: guest`. */
export const factWords = (frame: FixedFrame, id: Id, is: FactValue | readonly FactValue[]): string => {
  const label = factsOf(frame).find((fact) => fact.id === id)?.label ?? id;
  return `${label}: ${[is]
    .flat()
    .map((each) => valueWord(each))
    .join(" or ")}`;
};

/** What a need asks for, in words. */
export const needWords = (frame: FixedFrame, { fact, is }: Need): string => factWords(frame, fact, is);

/** The same in as few words as there is room for on a card: `Signed in`, `not Signed in`, `member or guest`. */
export const shortNeed = (frame: FixedFrame, need: Need): string => {
  const { fact, is } = need;
  if (typeof is !== "boolean") return valuesOf(need).map(valueWord).join(" or ");
  const label = factsOf(frame).find(({ id }) => id === fact)?.label ?? fact;
  return is ? label : `not ${label}`;
};

/** All that a node needs, in as few words; empty where it needs nothing. */
export const shortNeeds = (frame: FixedFrame, id: Id): string =>
  (frame.nodes[id]?.needs ?? []).map((need) => shortNeed(frame, need)).join(", ");

/** All combinations of the values the facts may have, the launch values first; at most `most`. */
export const factCombinations = (frame: FixedFrame, most = 32): Facts[] => {
  let all: Record<Id, FactValue>[] = [{}];
  for (const fact of factsOf(frame)) {
    const { launch } = fact;
    const values = [...factValues(fact)].sort((a, b) => Number(b === launch) - Number(a === launch));
    const next = all.flatMap((facts) => values.map((is) => ({ ...facts, [fact.id]: is })));
    if (next.length > most) break;
    all = next;
  }
  return all;
};
