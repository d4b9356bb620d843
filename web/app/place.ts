import { useCallback, useEffect, useRef } from "react";
import { useLocation, useNavigationType, useSearchParams } from "react-router";
import type { Id } from "../../core/index.js";
import { oncePainted } from "../data/once-painted.js";
import type { ChooseMore, Chosen } from "../data/selection.js";
import { useWriteAddress } from "./address.js";
import { useOpenFrame, useSelection } from "./open-frame.js";

export type { Chosen };

const keyOf = (id: Id | null, parent: Id | null): string => `${id ?? ""} ${parent ?? ""}`;

export type Choose = (chosen: Chosen | null, replace?: boolean, more?: Omit<ChooseMore, "isStep">) => void;

/**
 * What is chosen on the plan. It changes at once, so that the next key already meets it; the page's address follows, so
 * that Back, a reload and a copied address find it again. Unless it `replace`s, the choice is a step that Back takes back.
 */
export const useChosen = (): [Chosen | null, Choose] => {
  const { selection } = useOpenFrame();
  const chosen = useSelection((selected) => selected.chosen);
  const choose = useCallback<Choose>(
    (next, replace = true, more = {}) => selection.choose(next, { ...more, isStep: !replace }),
    [selection],
  );
  return [chosen, choose];
};

/** Writing an address takes a browser longer than a person should wait for a key: it comes so long after the choice is painted, ms. */
const after = 40;

/** Keeps the choice and the page's address the same: what is chosen is written there, and where Back leads to is chosen. */
export const useChosenInAddress = (): void => {
  const opened = useOpenFrame();
  const chosen = useSelection((selected) => selected.chosen);
  const [params] = useSearchParams();
  const write = useWriteAddress();
  const { key: step } = useLocation();
  const isBack = useNavigationType() === "POP";
  const id = params.get("at");
  const parent = params.get("in");
  const inAddress = keyOf(id, parent);
  const own = keyOf(chosen?.id ?? null, chosen?.parent ?? null);
  /** What the address says, or will say once what was written there has come back. */
  const known = useRef<string | null>(null);
  /** What the address said when it was last looked at. */
  const seen = useRef<string | null>(null);
  /** What was written and has not come back yet. */
  const written = useRef<string[]>([]);
  useEffect(() => {
    // where Back leads counts, though it may be what was written here a moment before; other steps only where they say something new
    if (isBack) written.current = [];
    else if (seen.current === inAddress) return;
    seen.current = inAddress;
    const back = written.current.indexOf(inAddress);
    if (back >= 0) return void written.current.splice(0, back + 1);
    if (known.current === inAddress) return;
    // a page that was just opened goes on where its address says
    const isFirst = known.current === null;
    known.current = inAddress;
    opened.selection.choose(id ? { id, parent } : null, { found: isFirst && id !== null });
  }, [opened, inAddress, isBack, step]);
  useEffect(() => {
    // until the address was read there is nothing to write: the choice comes from there
    if (known.current === null || own === known.current) return;
    return oncePainted(() => {
      const { chosen: now, isStep } = opened.selection.get();
      write(
        (next) => {
          // where Back has led meanwhile is chosen, not written over
          if (keyOf(next.get("at"), next.get("in")) !== known.current) return;
          opened.selection.written();
          known.current = own;
          written.current.push(own);
          next.delete("at");
          next.delete("in");
          if (now) next.set("at", now.id);
          if (now?.parent) next.set("in", now.parent);
        },
        { replace: !isStep },
      );
    }, after);
  }, [opened, own, write]);
};
