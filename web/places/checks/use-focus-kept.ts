import { type FocusEvent, useLayoutEffect, useRef } from "react";

/** Keeps the focus in a list whose rows come and go: where the row that had it is gone, the one in its place gets it. */
export const useFocusKept = (rows: readonly unknown[]) => {
  const list = useRef<HTMLUListElement>(null);
  const at = useRef(-1);
  const onFocus = ({ target }: FocusEvent) => {
    at.current = [...(list.current?.children ?? [])].findIndex((row) => row.contains(target));
  };
  // what goes with the focus on it tells of no other place that has it now
  const onBlur = ({ relatedTarget }: FocusEvent) => {
    if (relatedTarget && !list.current?.contains(relatedTarget)) at.current = -1;
  };
  useLayoutEffect(() => {
    if (at.current < 0 || document.activeElement !== document.body) return;
    const row = list.current?.children[Math.min(at.current, rows.length - 1)];
    row?.querySelector("button")?.focus({ preventScroll: true });
  }, [rows]);
  return { ref: list, onFocus, onBlur };
};
