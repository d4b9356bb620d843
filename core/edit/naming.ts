import type { Frame } from "../frame/types.js";
import type { Id } from "../frame/parts.js";
import { subtreeOf } from "../frame/frame-index.js";
import type { DuplicateEdit } from "./edit.js";
import { isId } from "../frame/ids.js";

const plainLetters = (text: string): string => text.normalize("NFKD").replaceAll(/\p{Mark}/gu, "");

/** An id made from a title, such as `logWater` from “Log water”, that is not taken. */
export const idFrom = (title: string, taken: (id: Id) => boolean): Id => {
  const words = plainLetters(title).match(/[A-Za-z0-9]+/g) ?? [];
  const joined = words
    .map((word, i) => (i === 0 ? word.charAt(0).toLowerCase() : word.charAt(0).toUpperCase()) + word.slice(1))
    .join("")
    .replace(/^[0-9]+/, "")
    .slice(0, 34);
  const base = joined === "" ? "screen" : joined.charAt(0).toLowerCase() + joined.slice(1);
  for (let n = 1; ; n += 1) {
    const id = n === 1 ? base : `${base}${n}`;
    if (isId(id) && !taken(id)) return id;
  }
};

/** An id made from a title that no node of the frame has, nor any of `also`. */
export const freeIdIn = (frame: Frame, title: string, also: ReadonlySet<Id> = new Set()): Id =>
  idFrom(title, (id) => Object.hasOwn(frame.nodes, id) || also.has(id));

/** The edit that copies a node and all inside it, behind the node itself. Shared screens inside are not copied. */
export const duplicateOf = (frame: Frame, id: Id, parent: Id | null): DuplicateEdit => {
  const ids: Record<Id, Id> = {};
  const used = new Set<Id>();
  for (const inner of subtreeOf(frame, id)) {
    ids[inner] = freeIdIn(frame, inner.replace(/\d+$/, ""), used);
    used.add(ids[inner]);
  }
  return { kind: "duplicate", id, ids, parent, after: parent === null ? null : id };
};
