import { useState } from "react";
import { type Edit, type Frame, type Id, placesOf, plainName, together, waysGoneWith } from "../../../../core/index.js";
import type { Chosen } from "../../../app/place.js";
import { type Planned, takeOutAll } from "./edits.js";

/** What is to be taken out, while it is asked what becomes of the ways that lead there. */
export interface TakingOut {
  parts: readonly Chosen[] | null;
  /** Takes out what nothing leads to at once; of all else it is asked first. */
  ask: (parts: readonly Chosen[]) => void;
  /** Takes it out with the ways that lead there; or, by some edits, leads them to another node before. */
  take: (led?: { to: Id; by: readonly Edit[] }) => void;
  leave: () => void;
}

/** Those of the parts that are gone then: one of several places is only left. */
export const goneOf = (frame: Frame, parts: readonly Chosen[]): Id[] =>
  parts.filter(({ id }) => placesOf(frame, id).length < 2).map(({ id }) => id);

export const useTakingOut = (frame: Frame, make: (planned: Planned | null) => boolean): TakingOut => {
  const [parts, setParts] = useState<readonly Chosen[] | null>(null);
  return {
    parts,
    ask: (next) => {
      if (waysGoneWith(frame, goneOf(frame, next)).length > 0) setParts(next);
      else make(takeOutAll(frame, next));
    },
    take: (led) => {
      if (!parts) return;
      const planned = takeOutAll(frame, parts);
      const label = led ? `${planned.label}; what led there leads to ${plainName(frame, led.to)}` : planned.label;
      setParts(null);
      make({ ...planned, edit: together([...(led?.by ?? []), planned.edit]), label });
    },
    leave: () => setParts(null),
  };
};
