import { useCallback, useMemo } from "react";
import { useSearchParams } from "react-router";
import type { Id } from "../../core/index.js";

/** What is chosen on the plan: a node, in one of its places. */
export interface Chosen {
  id: Id;
  /** The container it is looked at in; null for the root and for what is loose. */
  parent: Id | null;
}

/** What is chosen stands in the page's address, so that Back, a reload and a copied address find it again. */
export const useChosen = (): [Chosen | null, (chosen: Chosen | null, replace?: boolean) => void] => {
  const [params, setParams] = useSearchParams();
  const id = params.get("at");
  const parent = params.get("in");
  const chosen = useMemo(() => (id ? { id, parent } : null), [id, parent]);
  const choose = useCallback(
    (next: Chosen | null, replace = true) =>
      setParams(
        (old) => {
          const now = new URLSearchParams(old);
          now.delete("at");
          now.delete("in");
          if (next) now.set("at", next.id);
          if (next?.parent) now.set("in", next.parent);
          return now;
        },
        { replace },
      ),
    [setParams],
  );
  return [chosen, choose];
};
