import { factsOf, factValues } from "../frame/defaults.js";
import { isAttached } from "../frame/frame-index.js";
import type { Frame } from "../frame/types.js";
import type { Id } from "../frame/parts.js";
import type { View } from "../frame/view.js";
import { factWords, valuesOf } from "../frame/needs.js";
import { nameOf, plainName } from "../frame/names.js";
import { snapshotOf } from "../observe/snapshot.js";
import { factsFor, landed } from "../explore/standpoint.js";
import { stepThrough } from "../navigate/step.js";

/** What becomes of a node for a person who has not what a need of it asks for, worked out by opening it then. */
export const needSays = (frame: Frame, view: View, id: Id, i: number): string => {
  const need = frame.nodes[id]?.needs?.[i];
  if (!need || !isAttached(frame, id)) return "";
  const fact = factsOf(frame).find((each) => each.id === need.fact);
  const wanted = valuesOf(need);
  const unmet = fact && factValues(fact).find((value) => !wanted.includes(value));
  if (!fact || unmet === undefined) return "always met: no other value is left";
  const facts = { ...factsFor(frame, id), [fact.id]: unmet };
  const at = stepThrough(frame, view, landed(frame, view, facts), { do: "open", to: id });
  const { top, pending, notes } = snapshotOf(frame, view, at);
  const when = factWords(frame, fact.id, unmet);
  if (notes.some(({ code }) => code === "needs-loop"))
    return `${when}: what stands in needs something too, round and round`;
  if (top === null) return `${when}: nothing may be shown`;
  if (notes.some(({ code }) => code === "refused")) return `${when}: it is refused, ${plainName(frame, top)} stays`;
  const waits = pending ? `, and ${nameOf(frame, pending.to, pending.params)} waits` : ", and nothing waits";
  return `${when}: ${plainName(frame, top)} instead${waits}`;
};
