import {
  applySoundly,
  faultSays,
  firstOf,
  type Frame,
  type OutlineFault,
  pasteLines,
  type Planned,
  readOutline,
} from "../../../../core/index.js";
import type { ListPlace } from "./list-places.js";

/** What an indented list comes to, before it is made. */
export interface ListLook {
  faults: readonly OutlineFault[];
  /** What stands in the way though every line is right. */
  why: string | null;
  made: { frame: Frame; planned: Planned; says: string } | null;
}

const words: [string, string, string][] = [
  ["screen", "screen", "screens"],
  ["hub", "hub", "hubs"],
  ["stack", "stack", "stacks"],
  ["pair", "pair", "pairs"],
];

const count = (frame: Frame, before: Frame): string => {
  const kinds = new Map<string, number>();
  for (const [id, node] of Object.entries(frame.nodes))
    if (!Object.hasOwn(before.nodes, id)) kinds.set(node.kind, (kinds.get(node.kind) ?? 0) + 1);
  return words
    .filter(([kind]) => kinds.has(kind))
    .map(([kind, one, many]) => `${kinds.get(kind)} ${kinds.get(kind) === 1 ? one : many}`)
    .join(", ");
};

export const lookAtList = (frame: Frame, text: string, place: ListPlace["place"]): ListLook => {
  const read = readOutline(text);
  if (!read.ok) return { faults: text.trim() === "" ? [] : read.faults, why: null, made: null };
  const pasted = pasteLines(frame, read.lines, place);
  if (!pasted.ok) return { faults: pasted.faults, why: null, made: null };
  const result = applySoundly(frame, pasted.edit);
  if (!result.ok) return { faults: [], why: faultSays(frame, firstOf(result.faults)), made: null };
  const says = count(result.frame, frame) || "one place more";
  const top = firstOf(pasted.built.tops);
  const planned = { edit: pasted.edit, label: `Add ${says}`, choose: { id: top, parent: place.parent } };
  return { faults: [], why: null, made: { frame: result.frame, planned, says } };
};
