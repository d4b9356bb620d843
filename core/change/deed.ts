import { factsOf, factValues } from "../frame/defaults.js";
import type { DoSet, Id } from "../frame/parts.js";
import type { Frame } from "../frame/types.js";
import { needsAbove } from "../frame/needs.js";
import { factsFor } from "../explore/standpoint.js";

/**
 * A deed that sets a fact and does something by it: to a value that the fact has not while a person stands on the screen.
 * Where none is named, one that the screen, or what it stands in, hangs on, else the first; null when there is none.
 */
export const settingDeed = (frame: Frame, from: Id, fact?: Id): DoSet | null => {
  const facts = factsOf(frame);
  const near = fact ?? needsAbove(frame, from)[0]?.need.fact ?? facts[0]?.id;
  const found = facts.find(({ id }) => id === near);
  if (!found) return null;
  const now = factsFor(frame, from)[found.id];
  const is = factValues(found).find((value) => value !== now);
  return is === undefined ? null : { kind: "set", fact: found.id, is };
};
