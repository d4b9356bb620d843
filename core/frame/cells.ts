import { bandsOf, targetsOf } from "./defaults.js";
import { equal } from "./equal.js";
import { choice, colour, type Form, motionId, partsOf, screenId, whole } from "./forms.js";
import { asRecord, fromKeys, keysOf } from "./keys.js";
import { colourNames, type Id, sizeNames, type Variation, type Views } from "./parts.js";
import { markChoices, motionChoices, type NodeKind, propertyOf, type VaryingKey, varyingKeys } from "./properties.js";
import { isRaw, type Raw } from "./raw.js";
import { type Stroke, strokesOver } from "./strokes.js";
import type { FixedFrame, Frame, Node } from "./types.js";
import { isIn, type ViewClass } from "./views.js";

/** What may differ by view by itself: a property, or one part of it, with a dot between. */
export type Slot = string;

/** The views of one target and one band; with `short` the low ones among them. */
export interface Cell {
  target: Id;
  band: Id;
  short?: true;
}

/** One thing that may differ by view: where it stands, what it can be, and what holds while it is not said; null where that depends on more. */
export interface SlotForm {
  slot: Slot;
  form: Form;
  fallback: unknown;
}

const slotsOfKey = (key: VaryingKey): SlotForm[] => {
  const { form } = propertyOf(key);
  const parts = partsOf(form);
  if (!parts) return [{ slot: key, form, fallback: propertyOf(key).fallback }];
  return Object.entries(parts).map(([part, inner]) => ({ slot: `${key}.${part}`, form: inner, fallback: null }));
};

/** All that may differ by view on a kind of nodes, in the order of the table of properties. */
export const slotsOf = (kind: NodeKind): SlotForm[] =>
  varyingKeys.filter((key) => propertyOf(key).kinds.includes(kind)).flatMap(slotsOfKey);

/** Whether a kind of nodes has a slot. */
export const isSlot = (kind: NodeKind, slot: Slot): boolean => slotsOf(kind).some((each) => each.slot === slot);

const formsAt = (at: string, forms: Readonly<Record<string, Form>>): SlotForm[] =>
  Object.entries(forms).map(([key, form]) => ({ slot: at + key, form, fallback: null }));

/** All that may differ by view of the app as a whole. */
export const appSlots: readonly SlotForm[] = [
  ...formsAt("", { lost: screenId(), calm: motionId() }),
  ...formsAt(
    "motion.",
    fromKeys(keysOf(motionChoices), () => motionId()),
  ),
  ...formsAt("theme.", { mark: choice(markChoices), corner: whole(0, 60) }),
  ...formsAt(
    "theme.sizes.",
    fromKeys(sizeNames, () => whole(0, 2000)),
  ),
  ...formsAt(
    "theme.light.",
    fromKeys(colourNames, () => colour()),
  ),
  ...formsAt(
    "theme.dark.",
    fromKeys(colourNames, () => colour()),
  ),
];

/** What has slots: a node, or the frame itself. */
export type Holder = Node | Frame;

/** Where a holder says a slot itself: the screen for links that lead nowhere stands with the addresses. */
const ownSlot = (slot: Slot): Slot => (slot === "lost" ? "address.lost" : slot);

const read = (values: Raw, slot: Slot): unknown => {
  let at: unknown = values;
  for (const part of slot.split(".")) at = isRaw(at) ? at[part] : undefined;
  return at;
};

const write = (values: Raw, path: readonly string[], value: unknown): Raw => {
  const [part = "", ...rest] = path;
  const { [part]: was, ...others } = values;
  const next = rest.length ? write(isRaw(was) ? was : {}, rest, value) : value;
  const isGone = next === undefined || (rest.length > 0 && isRaw(next) && Object.keys(next).length === 0);
  if (isGone) return part in values ? others : values;
  return { ...values, [part]: next };
};

const put = <T extends object>(values: T, slot: Slot, value: unknown): T =>
  write(asRecord(values), slot.split("."), value) as T;

const listOf = (node: Holder): readonly Variation[] => node.vary ?? [];

/** The entry that says what a slot is in a class of views; null where it is the node itself, or nobody. */
export const entryFor = (frame: FixedFrame, node: Holder, slot: Slot, at: ViewClass): Variation | null =>
  listOf(node).findLast((entry) => read(entry.set, slot) !== undefined && isIn(bandsOf(frame), entry, at)) ?? null;

/** What a node says of a slot in a class of views, by itself or in `vary`; undefined where it says nothing. */
export const saidOf = (frame: FixedFrame, node: Holder, slot: Slot, at: ViewClass): unknown => {
  const entry = entryFor(frame, node, slot, at);
  const said = entry ? read(entry.set, slot) : read(asRecord(node), ownSlot(slot));
  return said ?? undefined;
};

/** Whether a slot is other in some views than in others. */
export const isVaried = (node: Holder, slot: Slot): boolean =>
  listOf(node).some((entry) => read(entry.set, slot) !== undefined);

/** A property that is other in some views: what it is elsewhere, and where it is what. */
export interface ByView {
  own: unknown;
  entries: readonly (Views & { value: unknown })[];
}

/** What a node says of a slot by view, in the order of its list; null where it is the same in every view. */
export const byViewOf = (node: Holder, slot: Slot): ByView | null => {
  const entries = listOf(node).flatMap(({ set, ...views }) => {
    const value = read(set, slot);
    return value === undefined ? [] : [{ ...views, value }];
  });
  return entries.length ? { own: read(asRecord(node), ownSlot(slot)), entries } : null;
};

type Row = unknown[];
/** The values of a slot: of each target, by band, narrowest first; in views that are not low, and in low ones. */
interface Grid {
  tall: Row[];
  low: Row[];
}

/** What a slot counts as where it is not said. A part can be said to be as if it were not; what nothing else says has its default. */
const unsaid = (slot: Slot): unknown => {
  const key = varyingKeys.find((each) => each === slot);
  if (key !== undefined) return propertyOf(key).fallback ?? undefined;
  return slot.includes(".") ? null : undefined;
};

const gridOf = (frame: FixedFrame, node: Holder, slot: Slot): Grid => {
  const rows = (short: boolean) =>
    targetsOf(frame).map(({ id: target }) =>
      bandsOf(frame).map((_, band) => saidOf(frame, node, slot, { target, band, short }) ?? unsaid(slot)),
    );
  return { tall: rows(false), low: rows(true) };
};

/** A stroke on some targets; on all where none is named. */
type OnTargets = Stroke & { on?: Id[] };

/** The rows that `rows` could have in common: every choice of one of their values at each place, or, where these are too many, each of them. */
const commonRows = (rows: readonly Row[]): Row[] => {
  const most = 2000;
  let made: Row[] = [[]];
  for (let i = 0; i < (rows[0]?.length ?? 0); i += 1) {
    const values = rows
      .map((row) => row[i])
      .filter((value, n, all) => all.findIndex((other) => equal(other, value)) === n);
    made = made.flatMap((row) => values.map((value) => [...row, value]));
    if (made.length > most) return [...rows];
  }
  return made;
};

/** The strokes that make each target's row of what is under it; those that several need are one. */
const byTarget = (frame: FixedFrame, rows: readonly Row[], under: (i: number) => Row): OnTargets[] | null => {
  const found: OnTargets[] = [];
  for (const [i, { id }] of targetsOf(frame).entries()) {
    const strokes = strokesOver(rows[i] ?? [], under(i));
    if (!strokes) return null;
    let from = 0;
    for (const stroke of strokes) {
      const at = found.findIndex(
        (each, n) =>
          n >= from && each.first === stroke.first && each.last === stroke.last && equal(each.value, stroke.value),
      );
      if (at < 0) found.splice((from = found.length), 0, { ...stroke, on: [id] });
      else found[(from = at)]?.on?.push(id);
      from += 1;
    }
  }
  return found;
};

/** What a slot is everywhere, and the strokes over that. */
interface Plan {
  own: unknown;
  strokes: OnTargets[];
}

/** The shortest list for views that are not low: by width for all targets first, then by target. */
const tallPlan = (frame: FixedFrame, rows: readonly Row[]): Plan => {
  let best: (Plan & { rest: number }) | null = null;
  const isSaid = rows.every((row) => row.every((value) => value !== undefined));
  for (const row of commonRows(rows))
    for (const own of isSaid
      ? row.filter((value, i) => row.findIndex((other) => equal(other, value)) === i)
      : [undefined]) {
      const wide = strokesOver(
        row,
        row.map(() => own),
      );
      const rest = wide && byTarget(frame, rows, () => row);
      if (!wide || !rest) continue;
      const size = wide.length + rest.length;
      if (best && (size > best.strokes.length || (size === best.strokes.length && rest.length >= best.rest))) continue;
      best = { own, strokes: [...wide, ...rest], rest: rest.length };
    }
  return best ?? { own: undefined, strokes: [] };
};

/** The same for low views, over what holds there anyway. */
const lowStrokes = (frame: FixedFrame, { tall, low }: Grid): OnTargets[] => {
  const alone = byTarget(frame, low, (i) => tall[i] ?? []) ?? [];
  if (tall.length < 2) return alone.map(({ on: _, ...stroke }) => stroke);
  // what all targets share in low views is laid first; where they differ nothing is
  const mixed = {};
  const common = (rows: readonly Row[], other: unknown): Row =>
    (rows[0] ?? []).map((value, i) => (rows.every((row) => equal(row[i], value)) ? value : other));
  const row = common(low, undefined);
  const under = common(tall, mixed).map((value, i) => (row[i] === undefined ? undefined : value));
  const wide = strokesOver(row, under);
  if (!wide?.length) return alone;
  const after = (i: number): Row =>
    (tall[i] ?? []).map((value, n) => {
      const over = wide.findLast(({ first, last }) => first <= n && n <= last);
      return over ? over.value : value;
    });
  const rest = byTarget(frame, low, after);
  return rest && wide.length + rest.length <= alone.length ? [...wide, ...rest] : alone;
};

const viewsOf = (frame: FixedFrame, { first, last, on }: OnTargets, short: boolean): Views => {
  const bands = bandsOf(frame);
  return {
    ...(on && { on }),
    ...(first > 0 && { from: bands[first]?.id ?? "" }),
    ...(last < bands.length - 1 && { to: bands[last]?.id ?? "" }),
    ...(short && { short: true as const }),
  };
};

const sameViews = (a: Views, b: Views): boolean =>
  a.from === b.from &&
  a.to === b.to &&
  a.short === b.short &&
  equal([...(a.on ?? [])].sort(), [...(b.on ?? [])].sort());

/** Where an entry stands in a list that is in order: low views last, some targets after all, narrow before wide. */
const rankOf = (frame: FixedFrame, { on, from, to, short }: Views): number[] => {
  const bands = bandsOf(frame).map(({ id }) => id);
  return [short ? 1 : 0, on ? 1 : 0, from ? bands.indexOf(from) : 0, -(to ? bands.indexOf(to) : bands.length)];
};
const compare = (a: readonly number[], b: readonly number[]): number => {
  const i = a.findIndex((value, n) => value !== b[n]);
  return i < 0 ? 0 : (a[i] ?? 0) - (b[i] ?? 0);
};

/** A list without what it says of a slot. */
const without = (vary: readonly Variation[], slot: Slot): Variation[] =>
  vary.flatMap((entry) => {
    if (read(entry.set, slot) === undefined) return [entry];
    const set = put(entry.set, slot, undefined);
    return Object.keys(set).length ? [{ ...entry, set }] : [];
  });

/** A node with a slot said anew: everywhere, and by strokes. Entries of the same views say it with what they say of others. */
const withPlan = <H extends Holder>(
  frame: FixedFrame,
  node: H,
  slot: Slot,
  own: unknown,
  entries: readonly (Views & { value: unknown })[],
): H => {
  const vary = without(listOf(node), slot);
  let next = 0;
  for (const { value, ...views } of entries) {
    const same = vary.findIndex((entry, i) => i >= next && sameViews(entry, views));
    const rank = rankOf(frame, views);
    const after = vary.findIndex((entry, i) => i >= next && compare(rankOf(frame, entry), rank) > 0);
    const at = same >= 0 ? same : after < 0 ? vary.length : after;
    const set = put(vary[same]?.set ?? {}, slot, value);
    vary.splice(at, same < 0 ? 0 : 1, { ...views, set });
    next = at + 1;
  }
  const { vary: _, ...rest } = put(node, ownSlot(slot), own);
  return { ...rest, ...(vary.length > 0 && { vary }) } as H;
};

/** A node on which a slot is the same in every view; not said at all where there is no value. */
export const inEveryView = <H extends Holder>(frame: FixedFrame, node: H, slot: Slot, value: unknown): H =>
  withPlan(frame, node, slot, value, []);

/**
 * A node on which a slot has another value in some cells, and in no other: but low views that were as the cell was go on
 * being so. The list is left in its shortest form. Without a value the slot is not said there; where that cannot be, as in low
 * views of what is said in all, it is left as it is elsewhere.
 */
export const inCells = <H extends Holder>(
  frame: FixedFrame,
  node: H,
  slot: Slot,
  cells: readonly Cell[],
  value: unknown,
): H => {
  const { tall, low } = gridOf(frame, node, slot);
  const is = value ?? unsaid(slot);
  const [targets, bands] = [targetsOf(frame), bandsOf(frame)];
  for (const { target, band, short } of cells) {
    const [t, b] = [targets.findIndex(({ id }) => id === target), bands.findIndex(({ id }) => id === band)];
    const [tallRow, lowRow] = [tall[t], low[t]];
    if (!tallRow || !lowRow || b < 0) continue;
    const follows = equal(lowRow[b], tallRow[b]);
    if (short) lowRow[b] = is ?? tallRow[b];
    else {
      tallRow[b] = is;
      if (follows || (is !== undefined && lowRow[b] === undefined)) lowRow[b] = is;
    }
  }
  const plan = tallPlan(frame, tall);
  const inLow = lowStrokes(frame, { tall, low });
  return withPlan(frame, node, slot, plan.own ?? undefined, [
    ...plan.strokes.map((stroke) => ({ ...viewsOf(frame, stroke, false), value: stroke.value })),
    ...inLow.map((stroke) => ({ ...viewsOf(frame, stroke, true), value: stroke.value })),
  ]);
};

/** What a node says of some properties by view, and of no other. */
export const variedAmong = (node: Holder, keys: readonly string[]): Variation[] =>
  listOf(node).flatMap((entry) => {
    const set = Object.fromEntries(Object.entries(entry.set).filter(([key]) => keys.includes(key)));
    return Object.keys(set).length ? [{ ...entry, set }] : [];
  });

/** A node that says nothing of a property, by itself or by view; the same where it does not. */
export const withoutProperty = (node: Node, key: VaryingKey): Node => {
  if (asRecord(node)[key] === undefined && !isVaried(node, key)) return node;
  const vary = without(listOf(node), key);
  const { vary: _, ...rest } = put(node, key, undefined);
  return { ...rest, ...(vary.length > 0 && { vary }) };
};
