import { useCallback, useMemo, useRef } from "react";
import { childrenOf, type Frame, type Id, nodeAt, placesOf } from "../../../../core/index.js";
import { useSelection } from "../../../app/open-frame.js";
import { type Chosen, useChosen } from "../../../app/place.js";
import { rangeOf, thereIn, toggled } from "./selection.js";

/** What is chosen on the plan, each in one of its places, and the ways to choose something else. */
export interface Picking {
  chosen: Chosen | null;
  others: readonly Chosen[];
  isChosen: (id: Id, parent: Id | null) => boolean;
  select: (next: Chosen | null, replace?: boolean, also?: readonly Chosen[]) => void;
  /** Chooses everything between where the choice began and this. */
  extend: (next: Chosen) => void;
  /** Chooses one more, or one less. */
  toggle: (next: Chosen) => void;
}

/** An address may name what is not there (any more), or no place: then the first one. */
const thereOr = (frame: Frame, asked: Chosen | null): Chosen | null => {
  if (!asked || !Object.hasOwn(frame.nodes, asked.id)) return null;
  const { id, parent } = asked;
  const isThere =
    parent !== null && Object.hasOwn(frame.nodes, parent) && childrenOf(nodeAt(frame, parent)).includes(id);
  return isThere ? asked : { id, parent: placesOf(frame, id)[0] ?? null };
};

const keyOf = (id: Id, parent: Id | null): string => `${parent} ${id}`;

export const usePicking = (frame: Frame): Picking => {
  const [asked, choose] = useChosen();
  const askedToo = useSelection((selected) => selected.others);
  const chosen = useMemo(() => thereOr(frame, asked), [asked, frame]);
  const others = useMemo(() => (askedToo.length ? thereIn(frame, askedToo) : askedToo), [askedToo, frame]);
  const all = useMemo(
    () => new Set([...(chosen ? [chosen] : []), ...others].map(({ id, parent }) => keyOf(id, parent))),
    [chosen, others],
  );
  /** Where a choice of several began. */
  const anchor = useRef<Chosen | null>(null);
  const isChosen = useCallback((id: Id, parent: Id | null) => all.has(keyOf(id, parent)), [all]);
  return {
    chosen,
    others,
    isChosen,
    select: (next, replace = true, also = []) => {
      if (also.length === 0) anchor.current = next;
      choose(next, replace, { others: also });
    },
    extend: (next) => {
      const [to, between] = rangeOf(frame, anchor.current ?? chosen ?? next, next);
      choose(to, true, { others: between });
    },
    toggle: (next) => {
      const [to, rest] = toggled(chosen, others, next);
      anchor.current = to;
      choose(to, true, { others: rest });
    },
  };
};
