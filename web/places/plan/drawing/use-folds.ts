import { useCallback, useEffect, useMemo, useState } from "react";
import { type Frame, type Id, placesOf } from "../../../../core/index.js";
import { useEditing } from "../../../app/open-frame.js";
import { isText, keepStored, readList, readStored } from "../../../data/storage.js";

const keyOf = (frame: string): string => `handy-frame:folds:${frame}`;

const left = (frame: string): ReadonlySet<Id> => new Set(readStored("local", keyOf(frame), readList(isText)) ?? []);

export interface Folds {
  isFolded: (id: Id) => boolean;
  fold: (ids: readonly Id[], folded: boolean) => void;
  any: boolean;
}

/** Which containers are drawn by their name alone: as this browser left them. What holds the chosen node is open. */
export const useFolds = (frame: Frame, chosen: Id | null): Folds => {
  const name = useEditing((edited) => edited.id);
  const [folds, setFolds] = useState(() => left(name));
  const fold = useCallback(
    (ids: readonly Id[], folded: boolean) =>
      setFolds((old) => {
        const next = new Set(old);
        for (const id of ids)
          if (folded) next.add(id);
          else next.delete(id);
        keepStored("local", keyOf(name), [...next]);
        return next;
      }),
    [name],
  );
  const shown = useMemo(() => {
    if (folds.size === 0 || chosen === null || !Object.hasOwn(frame.nodes, chosen)) return folds;
    const open = new Set(folds);
    for (let at = placesOf(frame, chosen)[0]; at !== undefined; at = placesOf(frame, at)[0]) open.delete(at);
    return open.size === folds.size ? folds : open;
  }, [folds, frame, chosen]);
  // what was opened for what is chosen stays open when something else is
  useEffect(() => {
    if (shown !== folds)
      fold(
        [...folds].filter((id) => !shown.has(id)),
        false,
      );
  }, [shown, folds, fold]);
  return useMemo(() => ({ isFolded: (id: Id) => shown.has(id), fold, any: shown.size > 0 }), [shown, fold]);
};
