import { withoutParams } from "./defaults.js";
import type { Frame, Id } from "./types.js";

/** A node as a person called it, its id behind that: `Tides (secondTab)`; the id alone where it has no other name. */
export const called = (frame: Frame, id: Id): string => {
  const node = Object.hasOwn(frame.nodes, id) ? frame.nodes[id] : undefined;
  const name = withoutParams(node?.title ?? node?.tab?.label ?? "");
  return name === "" || name === id ? id : `${name} (${id})`;
};
