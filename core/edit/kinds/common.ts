import { childrenOf, startOf } from "../../frame/defaults.js";
import { shown } from "../../frame/fault.js";
import { isId } from "../../frame/ids.js";
import { called } from "../../frame/names.js";
import type { Id } from "../../frame/parts.js";
import type { ContainerNode, HubNode, Node, StackNode } from "../../frame/types.js";
import type { Draft } from "../draft.js";
import type { EditKind } from "../edit.js";
import { refuse } from "../refusal.js";
import { noRenames } from "../renames.js";
import type { Kind } from "./kind.js";

/** A kind that gives no key a value: nothing of it can clash, and it goes on any frame or is refused there. */
export const structural = <K extends EditKind>(): Omit<Kind<K>, "apply" | "renames"> => ({
  gives: () => [],
  strip: (edit) => edit,
  merges: (edit) => edit,
});

/** A kind that leaves every node its id. */
export const keepsIds = { renames: () => noRenames };

/** Refuses an id that cannot be one, or is taken. */
export const freeId = (draft: Draft, id: Id): void => {
  if (!isId(id))
    refuse(
      ["nodes", id],
      `the id ${shown(id)}`,
      "a small letter, then letters and digits, 40 at most",
      "Choose another id.",
    );
  if (draft.node(id)) refuse(["nodes", id], `the id ${id} again`, "an id that is not taken", "Choose another id.");
};

/** The node of an id. Refuses one that is not there. */
export const known = (draft: Draft, id: Id): Node =>
  draft.node(id) ??
  refuse(
    ["nodes", id],
    `${shown(id)}, which is not in nodes`,
    "a node of the frame",
    "It may have been removed meanwhile.",
  );

/** The container of an id. Refuses what is none. */
export const container = (draft: Draft, id: Id): ContainerNode => {
  const node = known(draft, id);
  return node.kind === "screen"
    ? refuse(["nodes", id], `the screen ${called(draft.frame, id)}`, "a container", "Put it into a stack or a hub.")
    : node;
};

/** Refuses to touch the root, with what is to be said of it. */
export const notRoot = (draft: Draft, id: Id, remedy: string): void => {
  if (id === draft.frame.root)
    refuse(["root"], `the root ${called(draft.frame, id)}`, "a node other than the root", remedy);
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

/** Puts a node into a container, behind another one (null: first); into the side of a pair that is free. */
export const putChild = (draft: Draft, parent: Id, id: Id, after: Id | null): void => {
  const node = container(draft, parent);
  if (node.kind !== "pair")
    return draft.put(parent, startingAs(node, { ...node, children: inserted(node.children, id, after) }));
  if (node.list === undefined) return draft.put(parent, { ...node, list: id });
  if (node.detail === undefined) return draft.put(parent, { ...node, detail: id });
  refuse(
    ["nodes", parent],
    `a third child for the pair ${called(draft.frame, parent)}`,
    "a list and a detail",
    "Take one out first.",
  );
};

/** The node without a child, and without what named that child in it. */
export const withoutChild = (node: Node, id: Id): Node => {
  if (node.kind === "screen" || !childrenOf(node).includes(id)) return node;
  if (node.kind === "pair") {
    const { list, detail, ...rest } = node;
    return { ...rest, ...(list !== id && list && { list }), ...(detail !== id && detail && { detail }) };
  }
  const { start, ...rest } = node;
  const own = { ...rest, ...(start !== undefined && start !== id && { start }) };
  const children = node.children.filter((child) => child !== id);
  if (own.kind === "hub") return { ...own, children };
  const { base, ...stack } = own;
  return { ...stack, children, ...(base !== undefined && base !== id && { base }) };
};

/** The node with every child it holds, and all it says of them, under another name. */
export const withChildrenNamed = (node: Node, map: (id: Id) => Id): Node => {
  switch (node.kind) {
    case "screen":
      return node;
    case "pair":
      return { ...node, ...(node.list && { list: map(node.list) }), ...(node.detail && { detail: map(node.detail) }) };
    default: {
      const named = { ...node, children: node.children.map(map) };
      if (named.start !== undefined) named.start = map(named.start);
      if (named.kind === "stack" && named.base) named.base = map(named.base);
      return named;
    }
  }
};
