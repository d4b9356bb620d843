import { childrenOf } from "./defaults.js";
import type { FixedFrame, FixedNode } from "./types.js";
import type { Id } from "./parts.js";

/** Containers may nest this deep; a real app stays under ten. It keeps every walk over a frame bounded. */
export const mostDepth = 64;

/** What a frame's nodes do not say themselves: where each one stands. */
export interface FrameIndex {
  /** The ids of all nodes, in the order of the table. */
  ids: readonly Id[];
  /** The containers that name a node as a child, attached to the root or not, in the order of the table. */
  parents: ReadonlyMap<Id, readonly Id[]>;
  /** The places of each attached node: its containers, depth first from the root. The root has none. */
  places: ReadonlyMap<Id, readonly Id[]>;
  /** The attached containers, depth first, with the ids from the root down to and with each. */
  ways: ReadonlyMap<Id, readonly Id[]>;
  /** Nodes that stand in no container, in the order of the table; the root is not one. */
  loose: readonly Id[];
}

const noPlaces: readonly Id[] = [];
const known = new WeakMap<FixedFrame, FrameIndex>();

/** Names one more container of a node, and says whether it has others. Nodes with one container, which are nearly all, share that container's own list. */
const add = (map: Map<Id, readonly Id[]>, child: Id, own: readonly Id[]): boolean => {
  const before = map.get(child);
  map.set(child, before ? [...before, ...own] : own);
  return before !== undefined;
};

const build = (frame: FixedFrame): FrameIndex => {
  const { nodes, root } = frame;
  const parents = new Map<Id, readonly Id[]>();
  const shared: Id[] = [];
  const ids = Object.keys(nodes);
  for (const id of ids) {
    const children = childrenOf(nodes[id]!);
    if (children.length === 0) continue;
    const own = [id];
    for (const child of children) if (add(parents, child, own)) shared.push(child);
  }
  const loose: Id[] = [];
  let containers = 0;
  for (const id of ids) {
    if (nodes[id]!.kind !== "screen") containers += 1;
    if (!parents.has(id) && id !== root) loose.push(id);
  }

  const ways = new Map<Id, readonly Id[]>();
  const walk = (id: Id, node: FixedNode, above: readonly Id[]): void => {
    // a container met twice is a fault that is reported elsewhere; walking it once keeps a loop from hanging
    if (ways.has(id) || above.length >= mostDepth) return;
    const way = [...above, id];
    ways.set(id, way);
    for (const child of childrenOf(node)) {
      const inner = Object.hasOwn(nodes, child) ? nodes[child] : undefined;
      if (inner && inner.kind !== "screen") walk(child, inner, way);
    }
  };
  const first = Object.hasOwn(nodes, root) ? nodes[root] : undefined;
  if (first && first.kind !== "screen") walk(root, first, []);
  const places = ways.size === containers && shared.length === 0 ? parents : placesAlong(frame, ways);
  return { ids, parents, places, ways, loose };
};

/** The places of the nodes below the containers that are attached, down the tree: one inside an earlier child comes before a later child. */
const placesAlong = ({ nodes, root }: FixedFrame, ways: ReadonlyMap<Id, unknown>): Map<Id, readonly Id[]> => {
  const places = new Map<Id, readonly Id[]>();
  const gone = new Set<Id>();
  const walk = (id: Id): void => {
    if (!ways.has(id) || gone.has(id)) return;
    gone.add(id);
    const own = [id];
    for (const child of childrenOf(nodes[id]!)) {
      add(places, child, own);
      walk(child);
    }
  };
  walk(root);
  return places;
};

/** The index of a frame, made once for each frame. */
export const indexOf = (frame: FixedFrame): FrameIndex => {
  let index = known.get(frame);
  if (!index) {
    index = build(frame);
    known.set(frame, index);
  }
  return index;
};

/** Says that a frame's nodes stand as those of another do, so that what is known of that is true of it too. */
export const shareIndex = (from: FixedFrame, to: FixedFrame): void => {
  const index = known.get(from);
  if (index) known.set(to, index);
};

/** The containers that an attached node stands in, depth first; none for the root and for what is loose. */
export const placesOf = (frame: FixedFrame, id: Id): readonly Id[] => indexOf(frame).places.get(id) ?? noPlaces;
/** The containers that name a node as a child, attached or not. */
export const parentsOf = (frame: FixedFrame, id: Id): readonly Id[] => indexOf(frame).parents.get(id) ?? noPlaces;

/** Whether the node is the root or stands, through its containers, in the root. */
export const isAttached = (frame: FixedFrame, id: Id): boolean => id === frame.root || placesOf(frame, id).length > 0;

/** Whether a stack holds the node, so that how it opens counts: a tab and a pane are always there. */
export const isInStack = (frame: FixedFrame, id: Id): boolean =>
  parentsOf(frame, id).some((parent) => frame.nodes[parent]?.kind === "stack");

/** The node's id and those of all below it, each once, parents first. Safe on a frame with loops. */
export const subtreeOf = (frame: FixedFrame, id: Id): Id[] => {
  const seen = new Set<Id>([id]);
  for (const at of seen) {
    const node = frame.nodes[at];
    if (node) for (const child of childrenOf(node)) seen.add(child);
  }
  return [...seen];
};
