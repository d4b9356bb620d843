import { factsOf, factValues } from "../frame/defaults.js";
import { shown } from "../frame/fault.js";
import { valuesOf } from "../frame/needs.js";
import type { FactValue, Id } from "../frame/parts.js";
import type { Frame } from "../frame/types.js";
import { type At, named, type NodeRule, type Report } from "./report.js";

/** Reports a fact that is none of the frame's, or values that it cannot have. */
export const factIs = (frame: Frame, report: Report, at: At, id: Id, values: readonly FactValue[]): void => {
  const facts = factsOf(frame);
  const fact = facts.find((candidate) => candidate.id === id);
  const ids = facts.map((each) => each.id);
  if (!fact) return named(report, at, id, ids, "fact");
  const known = factValues(fact);
  for (const value of values)
    if (!known.includes(value))
      report(
        "unknown-fact-value",
        at,
        `${shown(value)} for the fact ${id}`,
        `one of ${known.map((each) => shown(each)).join(", ")}`,
        "Use one of the fact's values, or add it to them.",
      );
};

/** What a node needs is a fact of the frame, with values that it may have. */
export const needFaults: NodeRule = (frame, report, id, { needs }) =>
  needs?.forEach((need, i) => factIs(frame, report, ["nodes", id, "needs", i], need.fact, valuesOf(need)));
