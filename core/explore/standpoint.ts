import { factAtLaunch, factsOf, factValues } from "../frame/defaults.js";
import { type Lens, lensOf } from "../frame/look.js";
import { nodeAt } from "../frame/nodes.js";
import type { Facts, FactValue, Id } from "../frame/parts.js";
import type { FixedFrame } from "../frame/types.js";
import type { View } from "../frame/view.js";
import { topOf } from "../navigate/focus.js";
import { isMet, needsAbove, valuesOf } from "../frame/needs.js";
import type { State } from "../navigate/state.js";
import { launch, stepThrough } from "../navigate/step.js";

/** Screens that go on by themselves are passed over, so many of them. */
const mostPassed = 8;

/** An app that was launched, once what goes on by itself has gone on: past a splash. */
export const landed = (frame: FixedFrame, view: View, facts: Facts = {}): State => {
  const lens = lensOf(frame, view);
  let { state } = launch(frame, view, facts);
  for (let i = 0; i < mostPassed; i += 1) {
    const next = goneOn(lens, state);
    if (topOf(lens, next.root).key === topOf(lens, state.root).key) break;
    state = next;
  }
  return state;
};

/** The state once its top screen has done what it does by itself; the same where it does nothing. */
const goneOn = (lens: Lens, state: State): State => {
  const node = nodeAt(lens.frame, topOf(lens, state.root).node);
  const after = node.kind === "screen" ? node.after : undefined;
  return after ? stepThrough(lens.frame, lens.view, state, { do: "wait", ms: after.ms }).state : state;
};

/** The facts as at a launch, but for those that a node, and all it stands in, needs otherwise. */
export const factsFor = (frame: FixedFrame, id: Id): Facts => {
  const facts: Record<Id, FactValue> = {};
  for (const fact of factsOf(frame)) facts[fact.id] = factAtLaunch(fact);
  for (const { need } of needsAbove(frame, id)) {
    if (isMet(facts, need)) continue;
    const fact = factsOf(frame).find((each) => each.id === need.fact);
    const wanted = valuesOf(need).find((is) => fact && factValues(fact).includes(is));
    if (wanted !== undefined) facts[need.fact] = wanted;
  }
  return facts;
};

/** Those of some facts that are not as at a launch; undefined where none is. */
export const unusualFacts = (frame: FixedFrame, facts: Facts): Facts | undefined => {
  const usual = new Map(factsOf(frame).map((fact) => [fact.id, factAtLaunch(fact)]));
  const other = Object.entries(facts).filter(([id, is]) => usual.get(id) !== is);
  return other.length > 0 ? Object.fromEntries(other) : undefined;
};

/** Where a person is whom something opened a node for, from outside the app, with the facts it needs. */
export const openedAt = (frame: FixedFrame, view: View, id: Id): State =>
  stepThrough(frame, view, landed(frame, view, factsFor(frame, id)), { do: "open", to: id }).state;
