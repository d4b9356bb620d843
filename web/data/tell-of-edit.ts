/** Tells whoever watches the page from outside that an edit was just made, while what caused it still goes on. */
export const tellOfEdit = (label: string): void => {
  if (typeof window !== "undefined") window.dispatchEvent(new CustomEvent("handy-frame:edit", { detail: label }));
};
