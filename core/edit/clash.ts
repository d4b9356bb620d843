import { equal } from "../frame/equal.js";
import type { Frame } from "../frame/types.js";
import type { Id } from "../frame/parts.js";
import type { Edit } from "./edit.js";

/** One key that an edit gives a value: of a node, or of the frame itself. */
interface Given {
  node: Id | null;
  key: string;
  value: unknown;
}

const givenBy = (edit: Edit): Given[] => {
  switch (edit.kind) {
    case "set":
      return [{ node: edit.node, key: edit.key, value: edit.value }];
    case "setFrame":
      return [{ node: null, key: edit.key, value: edit.value }];
    case "batch":
      return edit.edits.flatMap(givenBy);
    case "restore": {
      const nodes = Object.entries(edit.nodes ?? {}).flatMap(([node, change]) =>
        "gone" in change || "node" in change
          ? []
          : [
              ...Object.entries(change.set ?? {}).map(([key, value]) => ({ node, key, value })),
              ...(change.drop ?? []).map((key) => ({ node, key, value: undefined })),
            ],
      );
      const fields = [
        ...Object.entries(edit.fields?.set ?? {}).map(([key, value]) => ({ node: null, key, value })),
        ...(edit.fields?.drop ?? []).map((key) => ({ node: null, key, value: undefined })),
      ];
      // children come together by themselves
      return [...nodes.filter(({ key }) => key !== "children"), ...fields];
    }
    default:
      return [];
  }
};

const placeOf = ({ node, key }: Pick<Given, "node" | "key">): string => `${node ?? ""} ${key}`;

/** Two edits made at once that give one key two values. */
export interface Clash {
  node: Id | null;
  key: string;
  mine: unknown;
  theirs: unknown;
}

/** Where one's own edit and those made elsewhere meanwhile cannot both hold; the last of theirs counts. */
export const clashesOf = (mine: Edit, theirs: readonly Edit[]): Clash[] => {
  const last = new Map<string, Given>();
  for (const given of theirs.flatMap(givenBy)) last.set(placeOf(given), given);
  const own = new Map<string, Given>();
  for (const given of givenBy(mine)) own.set(placeOf(given), given);
  return [...own].flatMap(([place, { node, key, value }]) => {
    const other = last.get(place);
    return other && !equal(other.value, value) ? [{ node, key, mine: value, theirs: other.value }] : [];
  });
};

/** The edit without the values it gives these keys; null when nothing of it is left. */
export const withoutClashes = (edit: Edit, clashes: readonly Clash[]): Edit | null => {
  const gone = new Set(clashes.map(placeOf));
  const stays = (given: Pick<Given, "node" | "key">): boolean => !gone.has(placeOf(given));
  const strip = (one: Edit): Edit | null => {
    if (one.kind === "set" || one.kind === "setFrame")
      return stays({ node: one.kind === "set" ? one.node : null, key: one.key }) ? one : null;
    if (one.kind === "batch") {
      const edits = one.edits.map(strip).filter((each) => each !== null);
      return edits.length ? { kind: "batch", edits } : null;
    }
    if (one.kind !== "restore") return one;
    const kept = <T>(node: Id | null, values: Record<string, T> | undefined) =>
      Object.fromEntries(Object.entries(values ?? {}).filter(([key]) => stays({ node, key })));
    const nodes = Object.fromEntries(
      Object.entries(one.nodes ?? {}).map(([node, change]) => [
        node,
        "gone" in change || "node" in change
          ? change
          : {
              ...change,
              set: kept(node, change.set),
              drop: (change.drop ?? []).filter((key) => stays({ node, key })),
            },
      ]),
    );
    const fields = one.fields && {
      set: kept(null, one.fields.set),
      drop: (one.fields.drop ?? []).filter((key) => stays({ node: null, key })),
    };
    return { ...one, nodes, ...(fields && { fields }) };
  };
  return strip(edit);
};

/** What is put back without the keys of nodes that are not there any more; null when nothing of it is left. */
export const withoutGone = (edit: Edit, frame: Frame): Edit | null => {
  if (edit.kind !== "restore" || !edit.nodes) return edit;
  const all = Object.entries(edit.nodes);
  const there = all.filter(([id, change]) => "node" in change || Object.hasOwn(frame.nodes, id));
  if (there.length === all.length) return edit;
  const { nodes: _, ...rest } = edit;
  if (there.length === 0 && !rest.fields) return null;
  return { ...rest, ...(there.length > 0 && { nodes: Object.fromEntries(there) }) };
};
