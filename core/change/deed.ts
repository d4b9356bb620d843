import { factsOf, factValues } from "../frame/defaults.js";
import type { DoSet, Id } from "../frame/parts.js";
import type { Frame } from "../frame/types.js";
import { factsFor } from "../explore/standpoint.js";

/**
 * A deed that sets a fact and does something by it: to a value that the fact has not while a person stands on the screen.
 * The first fact where none is named; null when there is none.
 */
export const settingDeed = (frame: Frame, from: Id, fact?: Id): DoSet | null => {
  const facts = factsOf(frame);
  const found = fact === undefined ? facts[0] : facts.find(({ id }) => id === fact);
  if (!found) return null;
  const now = factsFor(frame, from)[found.id];
  const is = factValues(found).find((value) => value !== now);
  return is === undefined ? null : { kind: "set", fact: found.id, is };
};
