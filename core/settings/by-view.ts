import {
  appSlots,
  type Cell,
  entryFor,
  type Holder,
  saidOf,
  type Slot,
  slotsOf,
  type SlotForm,
} from "../frame/cells.js";
import { bandsOf, targetsOf } from "../frame/defaults.js";
import { equal } from "../frame/equal.js";
import { nodeAt } from "../frame/nodes.js";
import type { Id } from "../frame/parts.js";
import { optionsOfForm } from "../frame/properties.js";
import { isRaw } from "../frame/raw.js";
import { firstOf } from "../frame/sure.js";
import { classIn } from "../frame/views.js";
import { viewsSay } from "../frame/view-words.js";
import type { Frame } from "../frame/types.js";

/** One cell of what differs by view, over one node or several. */
export interface GridCell extends Cell {
  /** What is said there; undefined where nothing is, or where the nodes differ. */
  value: unknown;
  /** The nodes do not have the same there. */
  mixed: boolean;
  /** It is said for this width and this target, not taken over from others. */
  here: boolean;
  /** Where the value comes from, in words. */
  from: string;
}

/** What differs by view, by band and target: in views that are not low, and in low ones. */
export interface ViewGrid {
  slot: SlotForm;
  targets: readonly { id: Id; label: string }[];
  rows: readonly { band: Id; from: number; short: boolean; cells: readonly GridCell[] }[];
  /** Some low views are not as the others. */
  lowDiffers: boolean;
}

interface Origin {
  here: boolean;
  from: string;
}

/** Where a node has a value from in one cell. */
const originOf = (frame: Frame, node: Holder, slot: Slot, { target, band, short }: Cell): Origin => {
  const at = classIn(frame, band, target, short);
  const narrowest = firstOf(bandsOf(frame)).id;
  const entry = entryFor(frame, node, slot, at);
  if (!entry) {
    const isSaid = saidOf(frame, node, slot, at) !== undefined;
    return {
      here: isSaid && band === narrowest && !short,
      from: isSaid ? "in every view that says nothing else" : "by default",
    };
  }
  const { set: _, ...views } = entry;
  const begins = (entry.from ?? narrowest) === band;
  return { here: begins && (!short || entry.short === true), from: viewsSay(frame, views) };
};

const gridCell = (frame: Frame, holders: readonly Holder[], slot: Slot, cell: Cell): GridCell => {
  const at = classIn(frame, cell.band, cell.target, cell.short);
  const values = holders.map((holder) => saidOf(frame, holder, slot, at));
  const origins = holders.map((holder) => originOf(frame, holder, slot, cell));
  const mixed = values.some((value) => !equal(value, values[0]));
  const words = new Set(origins.map(({ from }) => from));
  return {
    ...cell,
    value: mixed ? undefined : values[0],
    mixed,
    here: origins.every(({ here }) => here),
    from: words.size === 1 ? (origins[0]?.from ?? "") : "from several places",
  };
};

/** The grid of one slot over some nodes of which all have it, or (null) of the app as a whole; null where one has not. */
export const viewGrid = (frame: Frame, ids: readonly Id[] | null, slot: Slot): ViewGrid | null => {
  const holders = ids ? ids.map((id) => nodeAt(frame, id)) : [frame];
  const forms = holders.map((holder) =>
    ("kind" in holder ? slotsOf(holder.kind) : appSlots).find((each) => each.slot === slot),
  );
  const [form] = forms;
  if (!form || forms.some((each) => !each)) return null;
  const targets = targetsOf(frame).map(({ id, label }) => ({ id, label }));
  const rows = (short: boolean): ViewGrid["rows"] =>
    bandsOf(frame).map(({ id: band, from }) => ({
      band,
      from,
      short,
      cells: targets.map(({ id: target }) =>
        gridCell(frame, holders, slot, { target, band, ...(short && { short: true as const }) }),
      ),
    }));
  const [tall, low] = [rows(false), rows(true)];
  const lowDiffers = low.some(({ cells }, b) =>
    cells.some(({ value, mixed }, t) => mixed || !equal(value, tall[b]?.cells[t]?.value)),
  );
  return { slot: form, targets, rows: frame.short === undefined ? tall : [...tall, ...low], lowDiffers };
};

/** A value of a slot in few words. */
export const valueWords = ({ form, slot }: Pick<SlotForm, "form" | "slot">, value: unknown): string => {
  const option = optionsOfForm(form).find(({ is }) => is === value);
  if (option) return option.label;
  if (value === undefined) return "as by default";
  if (slot === "rest" && Array.isArray(value))
    return value.map((rest) => `${Math.round(Number(rest) * 100)} %`).join(", ");
  if (form.sort === "number") return `${Math.round(Number(value) * 100)} %`;
  return isRaw(value) ? String(value.title ?? "") : String(value);
};
