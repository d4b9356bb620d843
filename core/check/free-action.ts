import type { Action, Id } from "../frame/parts.js";

/** An id that no action of a screen has yet, as near to the one wished as can be. */
export const freeActionId = (actions: readonly Action[], wish: Id): Id => {
  let id = wish;
  for (let i = 2; actions.some((action) => action.id === id); i += 1) id = `${wish}${i}`;
  return id;
};
