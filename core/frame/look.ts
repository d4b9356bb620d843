import { type AppLook, appLookOf, inFull } from "./app-look.js";
import { bandsOf } from "./defaults.js";
import { indexOf } from "./frame-index.js";
import { partsOf } from "./forms.js";
import { fallbacks, ownAmong } from "./held.js";
import { fromKeys, keysOf } from "./keys.js";
import type { Id, Opens, Variation } from "./parts.js";
import {
  nodeKinds,
  properties,
  propertyOf,
  type Seen,
  type VaryingKey,
  varyingKeys,
  type Within,
  type WithinKey,
} from "./properties.js";
import { isRaw, type Raw } from "./raw.js";
import type { FixedFrame, Node } from "./types.js";
import type { View } from "./view.js";
import { classOf, isIn, type ViewClass } from "./views.js";

/** A node's properties as they are in one view: every field is filled, null where nothing holds. Fields of other kinds of nodes have what holds without them. */
export type Look = Readonly<{ [P in Exclude<VaryingKey, "split">]: Seen<P> }> & {
  /** Whether a pair stands side by side where it has the room of the view: from the second band up where it does not say. */
  readonly split: boolean;
};

/** A property with parts is set part by part; null takes what was said of one away. */
const withParts = (said: unknown, set: Raw): Raw => {
  const next: Record<string, unknown> = isRaw(said) ? { ...said } : {};
  for (const [part, value] of Object.entries(set))
    if (value === null) delete next[part];
    else next[part] = value;
  return next;
};

/** What a node says of its properties in a class of views: its own values, then those of each entry of `vary` that applies, the last above all. */
const saidIn = <S extends Partial<Record<VaryingKey, unknown>>>(
  frame: FixedFrame,
  own: S,
  vary: readonly Variation[],
  at: ViewClass,
): S => {
  const said: Partial<Record<VaryingKey, unknown>> = own;
  const bands = bandsOf(frame);
  for (const entry of vary) {
    if (!isIn(bands, entry, at)) continue;
    for (const key of varyingKeys) {
      const value = entry.set[key];
      if (value === undefined) continue;
      said[key] = isRaw(value) && partsOf(propertyOf(key).form) ? withParts(said[key], value) : value;
    }
  }
  return own;
};

const noNode: Node = { kind: "screen" };

/** The varying keys that a node of a kind can have. */
const varyingOn = fromKeys(nodeKinds, (kind) => varyingKeys.filter((key) => propertyOf(key).kinds.includes(kind)));
/** What each field holds where a node says nothing. */
const unsaid = fallbacks(varyingKeys);

/**
 * A node's look in a class of views: **the only reader of what may differ by view**. Everything else asks it, or a lens,
 * which asks it once for each node. A node that is gone, as in a state left on an older frame, looks like a plain screen.
 */
export const lookOf = (frame: FixedFrame, id: Id, at: ViewClass): Look => {
  const { nodes } = inFull(frame);
  const node = (Object.hasOwn(nodes, id) ? nodes[id] : undefined) ?? noNode;
  const own = ownAmong(node, varyingOn[node.kind]);
  const said = node.vary ? saidIn(frame, own, node.vary, at) : own;
  return { ...unsaid, ...said, split: node.kind === "pair" && (said.split ?? at.band > 0) };
};

const plainly = properties.opens.fallback;

/** How a node opens in a class of views: that field of its look alone, for who asks it of very many nodes. */
export const opensOf = (frame: FixedFrame, id: Id, at: ViewClass): Opens => {
  const node = inFull(frame).nodes[id];
  if (!node) return plainly;
  const own = node.opens ?? plainly;
  return node.vary ? saidIn(frame, { opens: own }, node.vary, at).opens : own;
};

/** The look of each node in one class of views, worked out when it is first asked for. */
type Looks = (id: Id) => Look;
/** What something is by name, worked out when it is first asked for. */
const knownBy = <T>(make: (id: Id) => T): ((id: Id) => T) => {
  const known = new Map<Id, T>();
  return (id) => {
    let value = known.get(id);
    if (value === undefined) known.set(id, (value = make(id)));
    return value;
  };
};

/** What is said of the screens in a container, each with the container that says it: itself, or the nearest around it. */
export type SaidWithin = { readonly [K in WithinKey]?: { is: NonNullable<Within[K]>; by: Id } };

const nothingWithin: SaidWithin = {};

const withinIn = (frame: FixedFrame, look: Looks): ((container: Id) => SaidWithin) => {
  const { places } = indexOf(frame);
  const within: (container: Id) => SaidWithin = knownBy((container) => {
    const around = places.get(container)?.[0];
    const outer = around === undefined ? nothingWithin : within(around);
    const own = look(container).within;
    if (own === unsaid.within) return outer;
    const said = keysOf(own).map((key) => [key, { is: own[key], by: container }]);
    return { ...outer, ...(Object.fromEntries(said) as SaidWithin) };
  });
  return within;
};

/** What a state is looked at through: which of its entries show, and how, depends on the frame and the view. */
export interface Lens {
  readonly frame: FixedFrame;
  readonly view: View;
  /** The look of a node in the view. */
  readonly look: Looks;
  /** What the frame says of the app as a whole in the view. */
  readonly app: AppLook;
  /** What a container, and those it stands in, say of the screens within it that do not say so themselves. */
  readonly within: (container: Id) => SaidWithin;
}

/** What is known of a frame in one class of views. */
type Known = Pick<Lens, "look" | "within" | "app">;

const knownIn = (frame: FixedFrame, at: ViewClass): Known => {
  const look = knownBy((id) => lookOf(frame, id, at));
  let within: Known["within"] | null = null;
  return { look, app: appLookOf(frame, at), within: (container) => (within ??= withinIn(frame, look))(container) };
};

interface KnownLooks {
  byClass: Map<string, Known>;
  /** The lens that was asked for last. */
  last: Lens | null;
}
const knownOf = new WeakMap<FixedFrame, KnownLooks>();

/** The lens of a frame and a view; looks are kept for each frame and class of views. */
export const lensOf = (frame: FixedFrame, view: View): Lens => {
  let looks = knownOf.get(frame);
  if (!looks) knownOf.set(frame, (looks = { byClass: new Map(), last: null }));
  if (looks.last?.view === view) return looks.last;
  const at = classOf(frame, view);
  const key = `${at.target} ${at.band} ${at.short}`;
  let known = looks.byClass.get(key);
  if (!known) looks.byClass.set(key, (known = knownIn(frame, at)));
  const { look, app, within } = known;
  return (looks.last = { frame, view, look, app, within });
};

type HeldWithin = NonNullable<Within[WithinKey]>;

/** What holds of a node that stands in a container: what it says itself, else, of a screen, what it is within; null where nobody says. */
export const heldIn = ({ frame, look, within }: Lens, id: Id, container: Id, key: WithinKey): HeldWithin | null => {
  const own = look(id)[key];
  if (own !== null || frame.nodes[id]?.kind !== "screen") return own;
  return within(container)[key]?.is ?? null;
};

/** An overlay that leaves what is beneath in sight, with a scrim between: it can be dismissed, and no pair is split in it. */
export const isLifted = (opens: Opens): boolean => opens === "sheet" || opens === "dialog" || opens === "side";
