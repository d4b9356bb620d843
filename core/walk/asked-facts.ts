import { factAtLaunch, factsOf, factValues } from "../frame/defaults.js";
import { conditionsOf } from "../frame/only.js";
import type { Action, Facts, FactValue, Id, Only } from "../frame/parts.js";
import type { FixedFrame } from "../frame/types.js";
import type { NavigationEvent } from "../navigate/event.js";

const known = new WeakMap<FixedFrame["nodes"], ReadonlySet<Id>>();

const namedBy = (only: Only | undefined): Id[] =>
  only ? conditionsOf(only).flatMap(({ facts }) => Object.keys(facts ?? {})) : [];
const namedOn = (actions: readonly Action[] | undefined): Id[] => (actions ?? []).flatMap(({ only }) => namedBy(only));

/** The facts that something of a frame asks about: what the others are changes nothing. */
const askedFacts = (frame: FixedFrame): ReadonlySet<Id> => {
  let asked = known.get(frame.nodes);
  if (!asked) {
    const names = Object.values(frame.nodes).flatMap((node) => [
      ...(node.needs ?? []).map(({ fact }) => fact),
      ...namedBy(node.tab?.only),
      ...(node.kind === "screen" ? namedOn(node.actions) : []),
      ...(node.kind === "hub" ? namedOn(node.extras) : []),
    ]);
    known.set(frame.nodes, (asked = new Set(names)));
  }
  return asked;
};

/** The facts that are asked about, as text. */
export const factsText = (frame: FixedFrame, facts: Facts): string => {
  const asked = askedFacts(frame);
  return factsOf(frame)
    .filter(({ id }) => asked.has(id))
    .map(({ id }) => `${id}=${String(facts[id])}`)
    .join(" ");
};

/** More combinations of facts than this are not begun with. */
const mostFacts = 32;

/** The facts an app may be launched with, those at a launch first: what lasts may be anything by then. Those that nothing asks about are as at a launch. */
export const factsToBegin = (frame: FixedFrame): { all: Facts[]; isCut: boolean } => {
  const asked = askedFacts(frame);
  let all: Record<Id, FactValue>[] = [{}];
  let isCut = false;
  for (const fact of factsOf(frame)) {
    const first = factAtLaunch(fact);
    const others = asked.has(fact.id) && fact.lasting !== false ? factValues(fact).filter((is) => is !== first) : [];
    isCut ||= all.length * (1 + others.length) > mostFacts;
    const values = isCut ? [first] : [first, ...others];
    all = values.flatMap((is) => all.map((facts) => ({ ...facts, [fact.id]: is })));
  }
  return { all, isCut };
};

/** Each fact that is asked about become another, as it may at any time. */
export const factChanges = (frame: FixedFrame, facts: Facts): NavigationEvent[] => {
  const asked = askedFacts(frame);
  return factsOf(frame)
    .filter(({ id }) => asked.has(id))
    .flatMap((fact) =>
      factValues(fact)
        .filter((is) => is !== facts[fact.id])
        .map((is): NavigationEvent => ({ do: "fact", id: fact.id, is })),
    );
};
