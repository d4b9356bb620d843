import { reservedIds } from "../../frame/ids.js";
import { called } from "../../frame/names.js";
import { nodeIn } from "../../frame/nodes.js";
import type { Id } from "../../frame/parts.js";
import type { Draft } from "../draft.js";
import type { KeyChange, NodeChange } from "../edit.js";
import { refuse } from "../refusal.js";
import { noRenames } from "../renames.js";
import { known } from "./common.js";
import type { Given, Kind } from "./kind.js";
import { fixedFields } from "./set.js";

const merged = (to: readonly Id[], was: readonly Id[], is: readonly Id[]): Id[] => [
  ...to.filter((id) => is.includes(id) || !was.includes(id)),
  ...is.filter((id) => !was.includes(id) && !to.includes(id)),
];

/** Puts some keys of a node back; its children come together with those that came since then. */
const putKeysBack = (
  draft: Draft,
  id: Id,
  { set = {}, drop = [], children }: KeyChange & { children?: Id[] },
): void => {
  const node = known(draft, id);
  if (drop.includes("kind") || (set.kind ?? node.kind) !== node.kind)
    refuse(
      ["nodes", id, "kind"],
      `${called(draft.frame, id)} without its kind`,
      `the kind ${node.kind}`,
      "Give the whole node instead.",
    );
  const gone = Object.fromEntries(drop.map((key) => [key, undefined]));
  const to = set.children;
  const isMerged = children && Array.isArray(to) && "children" in node;
  draft.putKeys(id, node, {
    ...set,
    ...gone,
    ...(isMerged && { children: merged(to, children, node.children) }),
  });
};

const putBack = (draft: Draft, id: Id, change: NodeChange): void => {
  if ("gone" in change) draft.drop(id);
  else if ("node" in change) draft.put(id, change.node);
  else putKeysBack(draft, id, change);
};

const putFieldsBack = (draft: Draft, { set = {}, drop = [] }: KeyChange): void => {
  for (const key of [...Object.keys(set), ...drop])
    if ((fixedFields.has(key) && !(key === "root" && !drop.includes(key))) || reservedIds.has(key))
      refuse([key], `the frame without its ${key}`, "a field that can be put back", "Take one of its other fields.");
  if (drop.includes("name")) refuse(["name"], "the frame without its name", "a name", "Give it another one.");
  for (const [key, value] of Object.entries(set)) draft.field(key, value);
  for (const key of drop) draft.field(key, undefined);
};

const givenIn = (node: Id | null, { set = {}, drop = [] }: KeyChange): Given[] => [
  ...Object.entries(set).map(([key, value]) => ({ node, key, value })),
  ...drop.map((key) => ({ node, key, value: undefined })),
];

const isWhole = (change: NodeChange): change is Exclude<NodeChange, KeyChange> => "gone" in change || "node" in change;

/** Nodes and fields get values back that they had. */
export const restore: Kind<"restore"> = {
  apply: (draft, edit) => {
    for (const [id, change] of Object.entries(edit.nodes ?? {})) putBack(draft, id, change);
    putFieldsBack(draft, edit.fields ?? {});
  },
  gives: ({ nodes = {}, fields = {} }) => [
    ...Object.entries(nodes)
      .flatMap(([id, change]) => (isWhole(change) ? [] : givenIn(id, change)))
      // children come together by themselves
      .filter(({ key }) => key !== "children"),
    ...givenIn(null, fields),
  ],
  strip: (edit, stays) => {
    const kept = <C extends KeyChange>(node: Id | null, change: C): C => ({
      ...change,
      set: Object.fromEntries(Object.entries(change.set ?? {}).filter(([key]) => stays({ node, key }))),
      drop: (change.drop ?? []).filter((key) => stays({ node, key })),
    });
    const nodes: Record<Id, NodeChange> = {};
    for (const [id, change] of Object.entries(edit.nodes ?? {}))
      nodes[id] = isWhole(change) ? change : kept(id, change);
    return {
      ...edit,
      nodes,
      ...(edit.fields && { fields: kept(null, edit.fields) }),
    };
  },
  // keys are put back on nodes that are still there
  merges: (edit, frame) => {
    const all = Object.entries(edit.nodes ?? {});
    const there = all.filter(([id, change]) => "node" in change || nodeIn(frame, id) !== undefined);
    if (there.length === all.length) return edit;
    const { nodes: _, ...rest } = edit;
    if (there.length === 0 && !rest.fields) return null;
    return { ...rest, ...(there.length > 0 && { nodes: Object.fromEntries(there) }) };
  },
  renames: ({ renamed = noRenames }) => renamed,
};
