import { appSlots, type Cell, inCells, inEveryView, isSlot } from "../../frame/cells.js";
import type { Draft } from "../draft.js";
import type { VaryEdit } from "../edit.js";
import { refuse } from "../refusal.js";
import { keepsIds, known } from "./common.js";
import type { GivenKey, Kind } from "./kind.js";

/** The key of one cell of what differs by view, or of all of it. */
const keyOf = ({ node, slot }: VaryEdit, cell?: Cell): GivenKey => ({
  node,
  key: cell ? `${slot} at ${cell.band} on ${cell.target}${cell.short ? " when low" : ""}` : slot,
});

/** What is said of the app as a whole gets a value in some views, or the same in all. */
const varyApp = (draft: Draft, slot: string, cells: readonly Cell[] | undefined, value: unknown): void => {
  if (!appSlots.some((each) => each.slot === slot))
    refuse(["vary"], slot, "something that may differ by view of the app as a whole", "Set the field itself.");
  const { frame } = draft;
  const next = cells ? inCells(frame, frame, slot, cells, value) : inEveryView(frame, frame, slot, value);
  for (const key of ["address", "motion", "calm", "theme", "vary"] as const)
    if (next[key] !== frame[key]) draft.field(key, next[key]);
};

/** What may differ by view gets a value in some views, or the same in all. */
export const vary: Kind<"vary"> = {
  ...keepsIds,
  apply: (draft, { node: id, slot, cells, value }) => {
    if (id === null) return varyApp(draft, slot, cells, value);
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
