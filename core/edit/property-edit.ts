import { isVaried, type Cell, type Slot } from "../frame/cells.js";
import { nodeIn } from "../frame/nodes.js";
import type { Id } from "../frame/parts.js";
import type { NodeKey } from "../frame/properties.js";
import type { Frame } from "../frame/types.js";
import type { Edit } from "./edit.js";

/** A value as an edit has it: nothing, and an empty text, give the key back to its default. */
const given = (value: unknown): { value?: unknown } => (value === undefined || value === "" ? {} : { value });

/** The edit that sets what may differ by view, on a node or (null) of the app as a whole, in some cells; in every view where none is given. */
export const variedEdit = (node: Id | null, slot: Slot, cells: readonly Cell[] | undefined, value: unknown): Edit => ({
  kind: "vary",
  node,
  slot,
  ...(cells && { cells: [...cells] }),
  ...given(value),
});

/** The edit that gives a node a property for all views: one that differed by view does so no more. */
export const propertyEdit = (frame: Frame, id: Id, key: NodeKey, value: unknown): Edit => {
  const node = nodeIn(frame, id);
  return node && isVaried(node, key)
    ? variedEdit(id, key, undefined, value)
    : { kind: "set", node: id, key, ...given(value) };
};
