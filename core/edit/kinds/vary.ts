import { type Cell, inCells, inEveryView, isSlot } from "../../frame/cells.js";
import type { VaryEdit } from "../edit.js";
import { refuse } from "../refusal.js";
import { keepsIds, known } from "./common.js";
import type { GivenKey, Kind } from "./kind.js";

/** The key of one cell of what differs by view, or of all of it. */
const keyOf = ({ node, slot }: VaryEdit, cell?: Cell): GivenKey => ({
  node,
  key: cell ? `${slot} at ${cell.band} on ${cell.target}${cell.short ? " when low" : ""}` : slot,
});

/** What may differ by view gets a value in some views, or the same in all. */
export const vary: Kind<"vary"> = {
  ...keepsIds,
  apply: (draft, { node: id, slot, cells, value }) => {
    const node = known(draft, id);
    if (!isSlot(node.kind, slot))
      refuse(["nodes", id, slot], slot, `something that may differ by view on a ${node.kind}`, "Set the key itself.");
    const { frame } = draft;
    draft.put(id, cells ? inCells(frame, node, slot, cells, value) : inEveryView(frame, node, slot, value));
  },
  gives: (edit) => (edit.cells ?? [undefined]).map((cell) => ({ ...keyOf(edit, cell), value: edit.value })),
  strip: (edit, stays) => {
    if (!edit.cells) return stays(keyOf(edit)) ? edit : null;
    const cells = edit.cells.filter((cell) => stays(keyOf(edit, cell)));
    return cells.length ? { ...edit, cells } : null;
  },
  merges: (edit) => edit,
};
