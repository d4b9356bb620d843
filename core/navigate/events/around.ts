import { factsOf, factValues, targetsOf } from "../../frame/defaults.js";
import type { EventOf } from "../event.js";
import { ignore, type Run } from "../run.js";
import type { State } from "../state.js";

/** A fact is another. */
export const fact = (run: Run, state: State, { id, is }: EventOf<"fact">): State => {
  const known = factsOf(run.frame).find((candidate) => candidate.id === id);
  if (!known) return ignore(run, state, null, { why: "no-fact", fact: id });
  const values = factValues(known);
  if (!values.includes(is)) return ignore(run, state, null, { why: "no-fact-value", fact: id, is, values });
  if (state.facts[id] === is) return state;
  run.facts = { ...state.facts, [id]: is };
  return { ...state, facts: run.facts };
};

/** The device is another, or turned: the state stays as it is. */
export const view = (run: Run, state: State, { target }: EventOf<"view">): State =>
  target !== undefined && !targetsOf(run.frame).some(({ id }) => id === target)
    ? ignore(run, state, null, { why: "no-target", target })
    : state;
