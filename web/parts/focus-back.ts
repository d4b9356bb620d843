/** Does something once what a key closed is gone from the page: at the end of the event already, else with the next frame. */
const onceGone = (isGone: () => boolean, work: () => void): void =>
  queueMicrotask(() => {
    if (isGone()) work();
    else requestAnimationFrame(() => isGone() && work());
  });

/**
 * Remembers what has the focus now, as something opens; the answer gives it back. Where that was drawn anew meanwhile, what
 * bears the same `data-return` has it; else `otherwise` is asked.
 */
export const rememberFocus = (otherwise: () => void = () => undefined): (() => void) => {
  const before = document.activeElement;
  const name = before instanceof HTMLElement ? before.closest<HTMLElement>("[data-return]")?.dataset.return : undefined;
  return () =>
    onceGone(
      // what was done in between may have put it somewhere already
      () => document.activeElement === document.body,
      () => {
        const now = name === undefined ? null : document.querySelector<HTMLElement>(`[data-return="${name}"]`);
        if (before instanceof HTMLElement && before.isConnected && before !== document.body) before.focus();
        else if (now) now.focus();
        else otherwise();
      },
    );
};

/** Gives the focus to what bears this `data-return`, once it is drawn; not where it was taken elsewhere meanwhile. */
export const returnTo = (name: string): void => {
  const found = () => document.querySelector<HTMLElement>(`[data-return="${name}"]`);
  onceGone(
    // a dialog keeps the focus for itself when what had it in there is gone
    () => document.activeElement?.contains(found()) ?? false,
    () => found()?.focus(),
  );
};

/** Escape has something to close where this is set: what lies around it stays open. */
export const ownEscape = (is: boolean) => ({ "data-own-escape": is ? "" : undefined });

/** Whether what an Escape was pressed in has something of its own to close. */
export const hasOwnEscape = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && target.closest("[data-own-escape]") !== null;
