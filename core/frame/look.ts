import { bandsOf, secondBand } from "./defaults.js";
import type { Face, Id, Opens } from "./parts.js";
import { fallbacks, ownAmong } from "./held.js";
import { fromKeys } from "./keys.js";
import { nodeKinds, properties, propertyOf, type Seen, type VaryingKey, varyingKeys } from "./properties.js";
import type { FixedFrame, Frame, Node } from "./types.js";
import { bandAt, type View } from "./view.js";

/** A node's properties as they are in one view: every field is filled, null where nothing holds. Fields of other kinds of nodes have what holds without them. */
export type Look = Readonly<{ [P in VaryingKey]: Seen<P> }> & {
  /** The face of a hub; null for one that shows none. */
  readonly face: Face | null;
  /** Whether a pair stands side by side where it has the room of the view. */
  readonly split: boolean;
};

/** All views in which every node looks the same: those of one target and one band, low or not. */
export interface ViewClass {
  target: Id;
  /** The place of the band among those of the frame, narrowest first. */
  band: number;
  /** Lower than the frame's `short`. */
  short: boolean;
}

/** The class of a view. */
export const classOf = (frame: FixedFrame, { target, width, height }: View): ViewClass => ({
  target,
  band: bandsOf(frame).indexOf(bandAt(frame, width)),
  short: frame.short !== undefined && height < frame.short,
});

/** The class of the views of a band on a target that are not low. */
export const classIn = (frame: FixedFrame, band: Id, target: Id): ViewClass => ({
  target,
  band: bandsOf(frame).findIndex(({ id }) => id === band),
  short: false,
});

/** The entry of a table by band: that of the band, else of the next narrower one that has any. */
const byBand = <T>(frame: FixedFrame, table: Readonly<Record<Id, T>> | undefined, band: number): T | undefined => {
  if (!table) return undefined;
  const bands = bandsOf(frame);
  for (let i = band; i >= 0; i -= 1) {
    const found = table[bands[i]?.id ?? ""];
    if (found !== undefined) return found;
  }
  return undefined;
};

const faceIn = (frame: FixedFrame, node: Node, { target, band, short }: ViewClass): Face | null => {
  if (node.kind !== "hub") return null;
  if (short && node.shortFace) return node.shortFace;
  const onTarget = byBand(frame, node.facesOn?.[target], band);
  if (onTarget) return onTarget;
  const narrowest = bandsOf(frame)[0]?.id ?? "";
  return byBand(frame, node.faces ?? { [narrowest]: "bar" }, band) ?? null;
};

const plainly = properties.opens.fallback;

const opensIn = (frame: FixedFrame, node: Node, { target, band }: ViewClass): Opens => {
  const { opens = plainly, opensIn: inBands, opensOn } = node;
  if (!inBands && !opensOn) return opens;
  return opensOn?.[target] ?? byBand(frame, inBands, band) ?? opens;
};

const isSplitIn = (frame: FixedFrame, node: Node, { band }: ViewClass): boolean => {
  if (node.kind !== "pair") return false;
  const from = bandsOf(frame).findIndex(({ id }) => id === (node.splitFrom ?? secondBand(frame)));
  return from >= 0 && band >= from;
};

const tabIn = (node: Node, { target }: ViewClass): Look["tab"] => {
  const tab: Look["tab"] = node.tab ?? properties.tab.fallback;
  const icon = tab.iconOn?.[target];
  return icon === undefined ? tab : { ...tab, icon };
};

const noNode: Node = { kind: "screen" };

/** The varying keys that a node of a kind can have. */
const varyingOn = fromKeys(nodeKinds, (kind) => varyingKeys.filter((key) => propertyOf(key).kinds.includes(kind)));
/** What each field holds where a node says nothing. */
const unsaid = fallbacks(varyingKeys);

/** A frame with all that its nodes say: the engine is given no other, though its type shows it less. */
const inFull = (frame: FixedFrame): Frame => frame as Frame;

/**
 * A node's look in a class of views: **the only reader of what may differ by view**. Everything else asks it, or a lens,
 * which asks it once for each node. A node that is gone, as in a state left on an older frame, looks like a plain screen.
 */
export const lookOf = (frame: FixedFrame, id: Id, at: ViewClass): Look => {
  const { nodes } = inFull(frame);
  const node = (Object.hasOwn(nodes, id) ? nodes[id] : undefined) ?? noNode;
  return {
    ...unsaid,
    ...ownAmong(node, varyingOn[node.kind]),
    tab: tabIn(node, at),
    opens: opensIn(frame, node, at),
    face: faceIn(frame, node, at),
    split: isSplitIn(frame, node, at),
  };
};

/** How a node opens in a class of views: that field of its look alone, for who asks it of very many nodes. */
export const opensOf = (frame: FixedFrame, id: Id, at: ViewClass): Opens => {
  const node = inFull(frame).nodes[id];
  return node ? opensIn(frame, node, at) : plainly;
};

/** The look of each node in one class of views, worked out when it is first asked for. */
type Looks = (id: Id) => Look;

const looksIn = (frame: FixedFrame, at: ViewClass): Looks => {
  const known = new Map<Id, Look>();
  return (id) => {
    let look = known.get(id);
    if (!look) known.set(id, (look = lookOf(frame, id, at)));
    return look;
  };
};

/** What a state is looked at through: which of its entries show, and how, depends on the frame and the view. */
export interface Lens {
  readonly frame: FixedFrame;
  readonly view: View;
  /** The look of a node in the view. */
  readonly look: Looks;
}

interface KnownLooks {
  byClass: Map<string, Looks>;
  /** The lens that was asked for last. */
  last: Lens | null;
}
const known = new WeakMap<FixedFrame, KnownLooks>();

/** The lens of a frame and a view; looks are kept for each frame and class of views. */
export const lensOf = (frame: FixedFrame, view: View): Lens => {
  let looks = known.get(frame);
  if (!looks) known.set(frame, (looks = { byClass: new Map(), last: null }));
  if (looks.last?.view === view) return looks.last;
  const at = classOf(frame, view);
  const key = `${at.target} ${at.band} ${at.short}`;
  let look = looks.byClass.get(key);
  if (!look) looks.byClass.set(key, (look = looksIn(frame, at)));
  return (looks.last = { frame, view, look });
};

/** An overlay that leaves what is beneath in sight, with a scrim between: it can be dismissed, and no pair is split in it. */
export const isLifted = (opens: Opens): boolean => opens === "sheet" || opens === "dialog" || opens === "side";
