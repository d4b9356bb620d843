import { reservedIds } from "../../frame/ids.js";
import { refuse } from "../refusal.js";
import { keepsIds, known } from "./common.js";
import type { Kind } from "./kind.js";

/** A key that a `set` may not touch: places change by moves, so that every node keeps its one place. */
const fixedKeys = new Set(["kind", "children"]);
/** Fields that stand or fall with the frame itself. */
export const fixedFields: ReadonlySet<string> = new Set(["format", "root", "nodes"]);

/** One key of a node gets a value. */
export const set: Kind<"set"> = {
  ...keepsIds,
  apply: (draft, { node: id, key, value }) => {
    const node = known(draft, id);
    if (fixedKeys.has(key) || reservedIds.has(key))
      refuse(["nodes", id, key], `a new ${key}`, "a key that can be set", "Places change by a move.");
    draft.putKeys(id, node, { [key]: value });
  },
  gives: ({ node, key, value }) => [{ node, key, value }],
  strip: (edit, stays) => (stays(edit) ? edit : null),
  merges: (edit) => edit,
};

/** One field of the frame gets a value. */
export const setFrame: Kind<"setFrame"> = {
  ...keepsIds,
  apply: (draft, { key, value }) => {
    if (fixedFields.has(key) || reservedIds.has(key))
      refuse([key], `a new ${key}`, "a field that can be set", "Take one of the frame's other fields.");
    draft.field(key, value);
  },
  gives: ({ key, value }) => [{ node: null, key, value }],
  strip: (edit, stays) => (stays({ node: null, key: edit.key }) ? edit : null),
  merges: (edit) => edit,
};
