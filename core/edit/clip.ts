import { asRecord } from "../frame/keys.js";
import { sure } from "../frame/sure.js";
import { nodeAt } from "../frame/nodes.js";
import { readPattern } from "../frame/pattern.js";
import { childrenOf, plainIcon } from "../frame/defaults.js";
import { nodeKinds } from "../frame/properties.js";
import { asNode } from "./draft.js";
import { segmentsOf } from "../frame/pointer.js";
import { subtreeOf } from "../frame/frame-index.js";
import { mapReferences, referencesOf } from "../frame/references.js";
import { isRaw, type Raw } from "../frame/raw.js";
import { upgradedNodes } from "../frame/upgrade.js";
import type { Frame, Node } from "../frame/types.js";
import type { Id } from "../frame/parts.js";
import { equal } from "../frame/equal.js";
import { iconsOf, mapIcons } from "../frame/icon-names.js";
import { reservedIds } from "../frame/ids.js";
import { iconName, iconNameFrom, isOwnIcon, type OwnIcon } from "../frame/own-icon.js";
import { addTops } from "./add-tops.js";
import { applySoundly } from "./apply.js";
import type { Edit } from "./edit.js";
import { withChildrenNamed } from "./kinds/common.js";
import { idFrom } from "./naming.js";
import { together } from "./together.js";
import type { Part } from "./part.js";

/** Parts of a frame on their way to another place, another frame or another window, with everything they say. */
export interface Clip {
  format: "handy-frame-parts/2";
  tops: Id[];
  nodes: Record<Id, Node>;
  /** The icons of the frame's own that they name. */
  icons?: Record<string, OwnIcon>;
}

/** The clip of some parts of a frame: of the root, all that stands in it. */
export const clipOf = (frame: Frame, parts: readonly Part[]): Clip => {
  const nodes: Record<Id, Node> = {};
  const tops = parts.flatMap(({ id }) => (id === frame.root ? [...childrenOf(nodeAt(frame, id))] : [id]));
  for (const top of tops) for (const id of subtreeOf(frame, top)) nodes[id] = nodeAt(frame, id);
  const named = new Set(Object.values(nodes).flatMap((node) => [...iconsOf(node)]));
  const icons = Object.fromEntries(Object.entries(frame.icons ?? {}).filter(([name]) => named.has(name)));
  return {
    format: "handy-frame-parts/2",
    tops: [...new Set(tops)],
    nodes,
    ...(Object.keys(icons).length > 0 && { icons }),
  };
};

/** Whether a value can be gone through as a node; what is not, breaks it and is caught by who reads. */
const isNode = (value: Node): boolean => {
  if (typeof value !== "object" || value === null || !nodeKinds.includes(value.kind)) return false;
  referencesOf(value);
  if (value.kind !== "stack" && value.kind !== "hub") return true;
  return Array.isArray(value.children) && value.children.every((id) => typeof id === "string");
};

/** A clip that was taken from a frame of format 1. */
const older = "handy-frame-parts/1";
const inPresentForm = (value: Partial<Omit<Clip, "format"> & { format: string }>): Partial<Clip> => {
  const { format, nodes, ...rest } = value;
  if (format !== older || !isRaw(nodes)) return value as Partial<Clip>;
  return { ...rest, format: "handy-frame-parts/2", nodes: upgradedNodes(nodes, "handy-frame/1", {}) as Clip["nodes"] };
};

const soundIcons = (icons: Raw): Record<string, OwnIcon> =>
  Object.fromEntries(
    Object.entries(icons).filter(
      (entry): entry is [string, OwnIcon] =>
        iconName.test(entry[0]) && !reservedIds.has(entry[0]) && isOwnIcon(entry[1]),
    ),
  );

/** The clip that a text is; null when it is none. */
export const readClip = (text: string): Clip | null => {
  try {
    const { format, tops, nodes, icons } = inPresentForm(JSON.parse(text));
    const isRight =
      format === "handy-frame-parts/2" &&
      Array.isArray(tops) &&
      tops.length > 0 &&
      typeof nodes === "object" &&
      nodes !== null &&
      tops.every((top) => typeof top === "string" && Object.hasOwn(nodes, top)) &&
      Object.values(nodes).every(isNode);
    return isRight ? { format, tops, nodes, ...(isRaw(icons) && { icons: soundIcons(icons) }) } : null;
  } catch {
    return null;
  }
};

const structure = new Set(["kind", "children", "list", "detail"]);

/** Takes out what a fault is about: one of a list, else the whole key; says whether there was anything to take. */
const dropAt = (nodes: Record<Id, Node>, [table, id, key, index]: readonly string[], left: string[]): boolean => {
  const node = table === "nodes" && id !== undefined ? nodes[id] : undefined;
  if (!node || key === undefined || structure.has(key) || !(key in node)) return false;
  const { [key]: value, ...rest } = asRecord(node);
  const kept = Array.isArray(value) && index !== undefined ? value.filter((_, i) => i !== Number(index)) : [];
  nodes[sure(id)] = asNode(kept.length ? { ...rest, [key]: kept } : rest);
  left.push(`${node.title ?? id}: ${key}`);
  return true;
};

const shapesOf = (path: string): readonly string[] => {
  const read = readPattern(path);
  return read.ok ? read.pattern.shapes : [];
};

/** Takes out the addresses that lead to screens of the frame already. */
const dropTakenAddresses = (frame: Frame, nodes: Record<Id, Node>, left: string[]): void => {
  const taken = new Set<string>();
  for (const node of Object.values(frame.nodes))
    if (node.kind === "screen")
      for (const path of [node.path, ...(node.also ?? [])])
        if (path !== undefined) for (const shape of shapesOf(path)) taken.add(shape);
  const isTaken = (path: string): boolean => shapesOf(path).some((shape) => taken.has(shape));
  for (const [id, node] of Object.entries(nodes)) {
    if (node.kind !== "screen") continue;
    if (node.path !== undefined && isTaken(node.path)) dropAt(nodes, ["nodes", id, "path"], left);
    if (node.also?.some(isTaken)) dropAt(nodes, ["nodes", id, "also"], left);
  }
};

/** A clip as it goes into a frame: the edit, what is on top of it, and what stayed behind. */
export interface PastedClip {
  edit: Edit;
  tops: Id[];
  /** What could not come along, as “Plot: path”. */
  left: string[];
}

const renamed = (node: Node, map: (id: Id) => Id, keeps: (id: Id) => boolean): Node =>
  withChildrenNamed(
    mapReferences(node, (id) => (keeps(id) ? map(id) : null)),
    map,
  );

/** What the icons of a clip are called in a frame, and all that the frame has then: one that it has already is not doubled. */
const iconsInto = (frame: Frame, clip: Clip): { called: (name: string) => string; icons: Record<string, OwnIcon> } => {
  const icons = { ...frame.icons };
  const names = new Map<string, string>();
  for (const [name, icon] of Object.entries(clip.icons ?? {})) {
    const same = Object.keys(icons).find((other) => equal(icons[other], icon));
    const free = same ?? iconNameFrom(name, (other) => Object.hasOwn(icons, other));
    names.set(name, free);
    icons[free] = icon;
  }
  return { called: (name) => names.get(name) ?? name, icons };
};

/**
 * Puts a clip into a frame: ids that are taken are numbered on, ways to what is not there are left out, and so is what this
 * frame cannot have, such as an address that another screen has or a fact it does not know. Null when it does not go at all.
 */
export const pasteClip = (
  frame: Frame,
  clip: Clip,
  { parent, after }: { parent: Id | null; after: Id | null },
): PastedClip | null => {
  const ids = new Map<Id, Id>();
  const used = new Set<Id>();
  for (const id of Object.keys(clip.nodes)) {
    const free = Object.hasOwn(frame.nodes, id)
      ? idFrom(id.replace(/\d+$/, ""), (other) => Object.hasOwn(frame.nodes, other) || used.has(other))
      : id;
    used.add(free);
    ids.set(id, free);
  }
  const map = (id: Id): Id => ids.get(id) ?? id;
  const left: string[] = [];
  const nodes: Record<Id, Node> = {};
  const { called, icons } = iconsInto(frame, clip);
  for (const [id, node] of Object.entries(clip.nodes))
    nodes[map(id)] = mapIcons(
      renamed(node, map, (to) => ids.has(to) || Object.hasOwn(frame.nodes, to)),
      called,
    );
  const hub = parent !== null && frame.nodes[parent]?.kind === "hub";
  for (const top of clip.tops) {
    const node = sure(nodes[map(top)]);
    if (hub && !node.tab) nodes[map(top)] = { ...node, tab: { icon: plainIcon } };
    if (!hub && node.tab) {
      const { tab: _, ...rest } = node;
      nodes[map(top)] = rest;
    }
  }
  dropTakenAddresses(frame, nodes, left);
  const tops = clip.tops.map(map);
  const isMore = Object.keys(icons).length > Object.keys(frame.icons ?? {}).length;
  const brings: Edit[] = isMore ? [{ kind: "setFrame", key: "icons", value: icons }] : [];
  const edit = (): Edit => together([...brings, addTops(nodes, tops, { parent, after })]);
  // each round takes out what is in the way; what is wrong with the structure itself cannot be taken out
  for (let round = 0; round < 8; round += 1) {
    const result = applySoundly(frame, edit());
    if (result.ok) return { edit: edit(), tops, left };
    const told = new Set(result.faults.map(({ pointer }) => segmentsOf(pointer).slice(0, 4).join("/")));
    const dropped = [...told].reverse().filter((at) => dropAt(nodes, at.split("/"), left));
    if (dropped.length === 0) return null;
  }
  return null;
};
