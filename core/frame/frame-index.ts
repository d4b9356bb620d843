import { childrenOf } from "./defaults.js";
import type { Frame, Id } from "./types.js";

/** Containers may nest this deep; a real app stays under ten. It keeps every walk over a frame bounded. */
export const mostDepth = 64;

/** What a frame's nodes do not say themselves: where each one stands. */
export interface FrameIndex {
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
const known = new WeakMap<Frame, FrameIndex>();

const add = (map: Map<Id, Id[]>, id: Id, parent: Id): void => {
  const list = map.get(id);
  if (list) list.push(parent);
  else map.set(id, [parent]);
};

const build = (frame: Frame): FrameIndex => {
  const parents = new Map<Id, Id[]>();
  const loose: Id[] = [];
  for (const id of Object.keys(frame.nodes)) for (const child of childrenOf(frame.nodes[id]!)) add(parents, child, id);
  for (const id of Object.keys(frame.nodes)) if (id !== frame.root && !parents.has(id)) loose.push(id);

  const places = new Map<Id, Id[]>();
  const ways = new Map<Id, readonly Id[]>();
  const walk = (id: Id, above: readonly Id[]): void => {
    const node = Object.hasOwn(frame.nodes, id) ? frame.nodes[id] : undefined;
    // a container met twice is a fault that is reported elsewhere; walking it once keeps a loop from hanging
    if (!node || node.kind === "screen" || ways.has(id) || above.length >= mostDepth) return;
    const way = [...above, id];
    ways.set(id, way);
    for (const child of childrenOf(node)) {
      add(places, child, id);
      walk(child, way);
    }
  };
  walk(frame.root, []);
  return { parents, places, ways, loose };
};

/** The index of a frame, made once for each frame. */
export const indexOf = (frame: Frame): FrameIndex => {
  let index = known.get(frame);
  if (!index) {
    index = build(frame);
    known.set(frame, index);
  }
  return index;
};

export const placesOf = (frame: Frame, id: Id): readonly Id[] => indexOf(frame).places.get(id) ?? noPlaces;
export const parentsOf = (frame: Frame, id: Id): readonly Id[] => indexOf(frame).parents.get(id) ?? noPlaces;

/** Whether the node is the root or stands, through its containers, in the root. */
export const isAttached = (frame: Frame, id: Id): boolean => id === frame.root || placesOf(frame, id).length > 0;

/** The node's id and those of all below it, each once, parents first. Safe on a frame with loops. */
export const subtreeOf = (frame: Frame, id: Id): Id[] => {
  const seen = new Set<Id>([id]);
  for (const at of seen) {
    const node = frame.nodes[at];
    if (node) for (const child of childrenOf(node)) seen.add(child);
  }
  return [...seen];
};
