import { called } from "../frame/names.js";
import { childrenOf, startOf } from "../frame/defaults.js";
import { type Fault, shown } from "../frame/fault.js";
import { indexOf, shareIndex, subtreeOf } from "../frame/frame-index.js";
import { mapReferences, referencesOf } from "../frame/references.js";
import type { ContainerNode, Frame, HubNode, Node, PairNode, StackNode } from "../frame/types.js";
import type { Id } from "../frame/parts.js";
import { faultsOf } from "../faults/faults.js";
import { plainFrame } from "../frame/write.js";
import { segmentsOf } from "../frame/pointer.js";
import { textFaults } from "../frame/text.js";
import { Draft, type Forms } from "./draft.js";
import type { Edit, EditKind, PatchOperation, RestoreEdit } from "./edit.js";
import { Refusal, refuse } from "./refusal.js";
import type { Renames } from "./renames.js";

export type EditResult =
  | {
      ok: true;
      frame: Frame;
      /** The edit that takes it back. */
      inverse: RestoreEdit;
      patches: PatchOperation[];
      /** The nodes that were added, changed or removed. */
      touched: ReadonlySet<Id>;
      /** The nodes that have another id now, old to new. */
      renamed: Renames;
    }
  | { ok: false; faults: Fault[] };

const idForm = /^[a-z][A-Za-z0-9]{0,39}$/;
/** Names that every JavaScript object answers to; as ids they would be found where nothing was put. */
const reservedIds = new Set(Object.getOwnPropertyNames(Object.prototype));

/** Whether a text can be an id. */
export const isId = (text: unknown): text is Id =>
  typeof text === "string" && idForm.test(text) && !reservedIds.has(text);

const freeId = (draft: Draft, id: Id): void => {
  if (!isId(id))
    refuse(
      ["nodes", id],
      `the id ${shown(id)}`,
      "a small letter, then letters and digits, 40 at most",
      "Choose another id.",
    );
  if (draft.node(id)) refuse(["nodes", id], `the id ${id} again`, "an id that is not taken", "Choose another id.");
};

const known = (draft: Draft, id: Id): Node =>
  draft.node(id) ??
  refuse(
    ["nodes", id],
    `${shown(id)}, which is not in nodes`,
    "a node of the frame",
    "It may have been removed meanwhile.",
  );

const container = (draft: Draft, id: Id): ContainerNode => {
  const node = known(draft, id);
  return node.kind === "screen"
    ? refuse(["nodes", id], `the screen ${called(draft.frame, id)}`, "a container", "Put it into a stack or a hub.")
    : node;
};

const inserted = (children: readonly Id[], id: Id, after: Id | null): Id[] => {
  const rest = children.filter((child) => child !== id);
  const at = after === null ? 0 : rest.indexOf(after) + 1 || rest.length;
  return [...rest.slice(0, at), id, ...rest.slice(at)];
};

/** A container whose children were put in another order starts as before: what comes to lie first is no start by that. */
const startingAs = <T extends StackNode | HubNode>(before: T, after: T): T => {
  const start = startOf(before);
  return start === undefined || start === startOf(after) || !after.children.includes(start)
    ? after
    : { ...after, start };
};

const withChild = (draft: Draft, parent: Id, id: Id, after: Id | null): void => {
  const node = container(draft, parent);
  if (node.kind === "pair") {
    const side = node.list === undefined ? "list" : node.detail === undefined ? "detail" : null;
    if (!side)
      refuse(
        ["nodes", parent],
        `a third child for the pair ${called(draft.frame, parent)}`,
        "a list and a detail",
        "Take one out first.",
      );
    else draft.put(parent, { ...node, [side]: id });
  } else draft.put(parent, startingAs(node, { ...node, children: inserted(node.children, id, after) }));
};

/** The container without a child, and without what named that child in it. */
const withoutChild = <T extends Node>(node: T, id: Id): T => {
  if (node.kind === "screen" || !childrenOf(node).includes(id)) return node;
  if (node.kind === "pair") {
    const copy: PairNode = { ...node };
    if (copy.list === id) delete copy.list;
    if (copy.detail === id) delete copy.detail;
    return copy as T;
  }
  const copy: StackNode | HubNode = { ...(node as StackNode | HubNode) };
  copy.children = copy.children.filter((child) => child !== id);
  if (copy.start === id) delete copy.start;
  if (copy.kind === "stack" && copy.base === id) delete copy.base;
  return copy as Node as T;
};

type Apply<K extends EditKind> = (draft: Draft, edit: Extract<Edit, { kind: K }>) => void;

const add: Apply<"add"> = (draft, edit) => {
  if (!edit.nodes[edit.top])
    refuse(["nodes", edit.top], `no node ${edit.top} to add`, "the node itself among nodes", "Send it along.");
  for (const [id, node] of Object.entries(edit.nodes)) {
    freeId(draft, id);
    draft.put(id, node);
  }
  if (edit.parent !== null) withChild(draft, edit.parent, edit.top, edit.after);
};

const remove: Apply<"remove"> = (draft, { id }) => {
  known(draft, id);
  if (id === draft.frame.root)
    refuse(
      ["root"],
      `the root ${called(draft.frame, id)}`,
      "a node other than the root",
      "The root holds everything else and stays.",
    );
  const inside = new Set(subtreeOf(draft.frame, id));
  const { parents } = indexOf(draft.frame);
  // what stands elsewhere too stays, and so does what is in that
  const stays = new Set<Id>();
  for (const inner of inside)
    if (inner !== id && (parents.get(inner) ?? []).some((parent) => !inside.has(parent)))
      for (const kept of subtreeOf(draft.frame, inner)) stays.add(kept);
  const gone = new Set([...inside].filter((inner) => !stays.has(inner)));
  const keeps = (to: Id) => (gone.has(to) ? null : to);
  for (const [other, node] of Object.entries(draft.frame.nodes)) {
    if (gone.has(other)) continue;
    let next: Node = node;
    for (const child of childrenOf(node)) if (gone.has(child)) next = withoutChild(next, child);
    if (referencesOf(next).some((reference) => gone.has(reference.to))) next = mapReferences(next, keeps);
    if (next !== node) draft.put(other, next);
  }
  for (const inner of gone) draft.drop(inner);
  const { address } = draft.frame;
  if (address?.lost !== undefined && gone.has(address.lost)) {
    const { lost: _, ...rest } = address;
    draft.field("address", Object.keys(rest).length ? rest : undefined);
  }
};

const rename: Apply<"rename"> = (draft, { id, to }) => {
  const node = known(draft, id);
  if (id === to) return;
  freeId(draft, to);
  const map = (name: Id) => (name === id ? to : name);
  for (const [other, value] of Object.entries(draft.frame.nodes)) {
    let next = mapReferences(value, map);
    if ("children" in next && next.children.includes(id)) next = { ...next, children: next.children.map(map) };
    if ("start" in next && next.start === id) next = { ...next, start: to };
    if ("base" in next && next.base === id) next = { ...next, base: to };
    if (next.kind === "pair" && (next.list === id || next.detail === id))
      next = { ...next, ...(next.list === id ? { list: to } : { detail: to }) };
    if (other === id) continue;
    if (next !== value) draft.put(other, next);
  }
  draft.drop(id);
  draft.put(to, mapReferences(node, map));
  draft.renamed(id, to);
  if (draft.frame.root === id) draft.field("root", to);
  if (draft.frame.address?.lost === id) draft.field("address", { ...draft.frame.address, lost: to });
};

const move: Apply<"move"> = (draft, { id, from, to, after }) => {
  const node = known(draft, id);
  if (id === draft.frame.root)
    refuse(
      ["root"],
      `the root ${called(draft.frame, id)}`,
      "a node other than the root",
      "The root stands in nothing.",
    );
  if (from !== null && !childrenOf(container(draft, from)).includes(id))
    refuse(
      ["nodes", from, "children"],
      `${called(draft.frame, id)}, which does not stand in ${called(draft.frame, from)}`,
      "one of its children",
      "It may have been moved meanwhile.",
    );
  if (to !== null) {
    if (subtreeOf(draft.frame, id).includes(to))
      refuse(
        ["nodes", to, "children"],
        `${called(draft.frame, id)} into ${called(draft.frame, to)}, which stands inside it`,
        "a container outside what is moved",
        "Move it somewhere else.",
      );
    if (from !== to && childrenOf(container(draft, to)).includes(id))
      refuse(
        ["nodes", to, "children"],
        `${called(draft.frame, id)} into ${called(draft.frame, to)}, where it stands already`,
        "a container it is not in",
        "Move it somewhere else.",
      );
  }
  if (from !== null && from !== to) draft.put(from, withoutChild(container(draft, from), id));
  if (to !== null) withChild(draft, to, id, after);
  const hub = to !== null && draft.node(to)!.kind === "hub";
  let next = node;
  // what says how a tab shows means nothing elsewhere
  if (next.tab && to !== null && !hub) {
    const { tab: _, ...rest } = next;
    next = rest as Node;
  }
  if (next.kind === "screen" && next.linkIn !== undefined && next.linkIn === from && from !== to) {
    const { linkIn: _, ...rest } = next;
    next = rest;
  }
  if (next !== node) draft.put(id, next);
};

/** A key that a `set` may not touch: places change by moves, so that every node keeps its one place. */
const fixedKeys = new Set(["kind", "children"]);
/** Fields that stand or fall with the frame itself. */
const fixedFields = new Set(["format", "root", "nodes"]);

const set: Apply<"set"> = (draft, { node: id, key, value }) => {
  const node = known(draft, id);
  if (fixedKeys.has(key) || reservedIds.has(key))
    refuse(["nodes", id, key], `a new ${key}`, "a key that can be set", "Places change by a move.");
  const next: Record<string, unknown> = { ...node };
  if (value === undefined) delete next[key];
  else next[key] = value;
  draft.put(id, next as unknown as Node);
};

const setFrame: Apply<"setFrame"> = (draft, { key, value }) => {
  if (fixedFields.has(key) || reservedIds.has(key))
    refuse([key], `a new ${key}`, "a field that can be set", "Take one of the frame's other fields.");
  draft.field(key, value);
};

const duplicate: Apply<"duplicate"> = (draft, edit) => {
  known(draft, edit.id);
  const map = (id: Id): Id => (Object.hasOwn(edit.ids, id) ? edit.ids[id]! : id);
  const nodes: Record<Id, Node> = {};
  for (const id of Object.keys(edit.ids)) {
    const node = known(draft, id);
    let copy = mapReferences(node, map);
    if ("children" in copy) copy = { ...copy, children: copy.children.map(map) };
    if ("start" in copy && copy.start !== undefined) copy = { ...copy, start: map(copy.start) };
    if ("base" in copy && copy.base) copy = { ...copy, base: map(copy.base) };
    if (copy.kind === "pair")
      copy = { ...copy, ...(copy.list && { list: map(copy.list) }), ...(copy.detail && { detail: map(copy.detail) }) };
    if (copy.kind === "screen") {
      // an address leads to one screen
      const { path: _path, also: _also, ...rest } = copy;
      copy = rest;
    }
    nodes[map(id)] = copy;
  }
  add(draft, { kind: "add", nodes, top: map(edit.id), parent: edit.parent, after: edit.after });
};

const merged = (to: readonly Id[], was: readonly Id[], is: readonly Id[]): Id[] => [
  ...to.filter((id) => is.includes(id) || !was.includes(id)),
  ...is.filter((id) => !was.includes(id) && !to.includes(id)),
];

const restore: Apply<"restore"> = (draft, edit) => {
  for (const [id, change] of Object.entries(edit.nodes ?? {})) {
    if ("gone" in change) draft.drop(id);
    else if ("node" in change) draft.put(id, change.node);
    else {
      const node = known(draft, id);
      if (change.drop?.includes("kind") || (change.set?.kind ?? node.kind) !== node.kind)
        refuse(
          ["nodes", id, "kind"],
          `${called(draft.frame, id)} without its kind`,
          `the kind ${node.kind}`,
          "Give the whole node instead.",
        );
      const next: Record<string, unknown> = { ...node, ...change.set };
      for (const key of change.drop ?? []) delete next[key];
      if (change.children && change.set?.children && "children" in node)
        next.children = merged(change.set.children as Id[], change.children, node.children);
      draft.put(id, next as unknown as Node);
    }
  }
  const { set: given = {}, drop: dropped = [] } = edit.fields ?? {};
  for (const key of [...Object.keys(given), ...dropped])
    if ((fixedFields.has(key) && !(key === "root" && !dropped.includes(key))) || reservedIds.has(key))
      refuse([key], `the frame without its ${key}`, "a field that can be put back", "Take one of its other fields.");
  if (dropped.includes("name")) refuse(["name"], "the frame without its name", "a name", "Give it another one.");
  for (const [key, value] of Object.entries(given)) draft.field(key, value);
  for (const key of dropped) draft.field(key, undefined);
  for (const [from, to] of Object.entries(edit.renamed ?? {})) draft.renamed(from, to);
};

const replace: Apply<"replace"> = (draft, { frame }) => {
  const plain = plainFrame(frame);
  for (const id of Object.keys(draft.frame.nodes)) if (!Object.hasOwn(plain.nodes, id)) draft.drop(id);
  for (const [id, node] of Object.entries(plain.nodes)) draft.put(id, node);
  const { nodes: _, ...fields } = plain;
  for (const key of Object.keys(draft.frame)) if (key !== "nodes" && !(key in fields)) draft.field(key, undefined);
  for (const [key, value] of Object.entries(fields)) draft.field(key, value);
};

const batch: Apply<"batch"> = (draft, { edits }) => {
  for (const edit of edits) carryOut(draft, edit);
};

const table: { [K in EditKind]: Apply<K> } = {
  add,
  remove,
  rename,
  move,
  set,
  setFrame,
  duplicate,
  batch,
  replace,
  restore,
};

function carryOut(draft: Draft, edit: Edit): void {
  (table[edit.kind] as (draft: Draft, edit: Edit) => void)(draft, edit);
}

/**
 * Applies an edit whose form is right: the new frame, what it is taken back by, and the change as RFC 6902. The frame
 * given stays as it is. What the edit needs is checked; whether the new frame is sound is for `applySoundly`. With `forms`
 * the edit may come from anywhere: what it puts into the frame is looked at first.
 */
export const applyEdit = (frame: Frame, edit: Edit, forms?: Forms): EditResult => {
  const draft = new Draft(frame, forms);
  try {
    carryOut(draft, edit);
  } catch (error) {
    if (error instanceof Refusal) return { ok: false, faults: error.faults };
    throw error;
  }
  const patches = draft.patches();
  if (!patches.some((patch) => changes(patch, structure))) shareIndex(frame, draft.frame);
  const { touched, renames: renamed } = draft;
  return { ok: true, frame: draft.frame, inverse: draft.inverse(), patches, touched, renamed };
};

const structure = new Set(["kind", "children", "list", "detail"]);
const addresses = new Set(["kind", "path", "also"]);

/** Whether an operation adds or removes a node, changes the root, or one of these keys of a node. */
const changes = ({ path }: PatchOperation, keys: ReadonlySet<string>): boolean => {
  const [, table, , key] = path.split("/");
  return table === "nodes" ? key === undefined || keys.has(key) : table === "root";
};

const changesFields = (patches: readonly PatchOperation[]): boolean =>
  patches.some(({ path }) => !path.startsWith("/nodes/"));

/** Applies an edit and answers it only if the frame is sound after it; else the faults it would bring. */
export const applySoundly = (frame: Frame, edit: Edit, forms?: Forms): EditResult => {
  const result = applyEdit(frame, edit, forms);
  if (!result.ok) return result;
  const { patches, touched } = result;
  const texts = patches.flatMap((patch) => ("value" in patch ? textFaults(patch.value, segmentsOf(patch.path)) : []));
  const faults = texts.length
    ? texts
    : faultsOf(
        result.frame,
        changesFields(patches) ? undefined : reach(frame, result.frame, touched),
        patches.some((patch) => changes(patch, addresses)),
      );
  return faults.length ? { ok: false, faults } : result;
};

/** The touched nodes, and those in containers whose children changed: what a change of them can make unsound. */
const reach = (before: Frame, after: Frame, touched: ReadonlySet<Id>): ReadonlySet<Id> => {
  const reached = new Set(touched);
  for (const id of touched)
    for (const frame of [before, after]) {
      const node = frame.nodes[id];
      if (node) for (const child of childrenOf(node)) reached.add(child);
      for (const parent of indexOf(frame).parents.get(id) ?? []) reached.add(parent);
    }
  return reached;
};
