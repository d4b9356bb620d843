import { flushSync } from "react-dom";
import { openGroup } from "../bench/bench-shape.js";

/** Opens a group of the bench, and gives the focus to something in it, else to its name in the index. */
export const goToGroup = (id: string, css = `[data-group="${id}"]`): void => {
  // what is in it is to be there when it gets the focus
  flushSync(() => openGroup(id));
  const found = document.querySelector<HTMLElement>(css);
  found?.scrollIntoView({ block: "nearest" });
  found?.focus();
};
