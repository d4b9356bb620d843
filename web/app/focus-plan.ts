// kept apart from what draws the plan: whatever lies over it gives the focus back by this

/** Puts the focus back on the plan, on what is chosen there, once that is drawn. */
export const focusPlan = (): void => {
  requestAnimationFrame(() =>
    document
      .querySelector<HTMLElement>('[role="treeitem"][aria-selected="true"], [role="treeitem"][tabindex="0"]')
      ?.focus({ preventScroll: true }),
  );
};
