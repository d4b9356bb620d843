import { unwrap } from "../change/unwrap.js";
import { propertyEdit } from "../edit/property-edit.js";
import type { Edit } from "../edit/edit.js";
import { parentsOf } from "../frame/frame-index.js";
import { plainName } from "../frame/names.js";
import type { Id } from "../frame/parts.js";
import type { NodeKey } from "../frame/properties.js";
import type { Frame } from "../frame/types.js";
import { applySoundly } from "../edit/apply.js";
import type { Mend } from "./rule.js";

/** A mend that gives a node one property, in every view; without a value it goes back to what holds without one. */
export const setting = (
  frame: Frame,
  node: Id,
  key: NodeKey,
  value: unknown,
  told: Pick<Mend, "label" | "says">,
): Mend => ({ ...told, edit: propertyEdit(frame, node, key, value) });

/** Those of some mends that can be made of the frame, and leave it sound. */
export const thatGo = (frame: Frame, mends: readonly (Mend | null)[]): Mend[] =>
  mends.filter((mend) => mend !== null).filter(({ edit }) => applySoundly(frame, edit).ok);

/** A mend that is made by an edit. */
export const byEdit = (told: Pick<Mend, "label" | "says">, edit: Edit): Mend => ({ ...told, edit });

/** A mend that takes a container away and leaves what it holds. */
export const unwrapping = (frame: Frame, id: Id): Mend[] => {
  const parent = parentsOf(frame, id)[0];
  const result = parent === undefined ? null : unwrap.plan(frame, [{ id, parent }]);
  if (!result?.ok) return [];
  const told = { label: `Unwrap ${plainName(frame, id)}`, says: "what it holds stands in its place" };
  return thatGo(frame, [byEdit(told, result.planned.edit)]);
};
