import { useCallback, useEffect, useRef } from "react";
import { useSearchParams } from "react-router";
import type { Id } from "../../core/index.js";
import type { Chosen } from "../data/session.js";
import { useOpenFrame, useSession } from "./open-frame.js";

export type { Chosen };

const keyOf = (id: Id | null, parent: Id | null): string => `${id ?? ""} ${parent ?? ""}`;

/**
 * What is chosen on the plan. It changes at once, so that the next key already meets it; the page's address follows, so
 * that Back, a reload and a copied address find it again.
 */
export const useChosen = (): [Chosen | null, (chosen: Chosen | null, replace?: boolean) => void] => {
  const opened = useOpenFrame();
  const chosen = useSession((session) => session.chosen);
  const [, setParams] = useSearchParams();
  const choose = useCallback(
    (next: Chosen | null, replace = true) => {
      opened.choose(next);
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
      );
    },
    [opened, setParams],
  );
  return [chosen, choose];
};

/** Follows the page's address when it changes by itself, as by the browser's Back. */
export const useChosenInAddress = (): void => {
  const opened = useOpenFrame();
  const [params] = useSearchParams();
  const id = params.get("at");
  const parent = params.get("in");
  const known = useRef<string | null>(null);
  useEffect(() => {
    const key = keyOf(id, parent);
    if (known.current === key) return;
    known.current = key;
    const { chosen } = opened.external.get();
    if (keyOf(chosen?.id ?? null, chosen?.parent ?? null) !== key) opened.choose(id ? { id, parent } : null);
  }, [opened, id, parent]);
};
