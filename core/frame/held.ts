import { asRecord, fromKeys } from "./keys.js";
import { type NodeKey, propertyOf, type Seen, type ValueOf, type VaryingKey } from "./properties.js";
import type { Node } from "./types.js";

/** A property's own value on a node; undefined where it is not set there. */
export const ownValue = <P extends NodeKey>(node: Node, key: P): ValueOf<P> | undefined =>
  asRecord(node)[key] as ValueOf<P> | undefined;

/**
 * What holds on a node of itself, whatever differs by view: its own value, else what holds without one. For who edits a
 * node; what it is in a view is in its look.
 */
export const heldBy = <P extends NodeKey>(node: Node, key: P): ValueOf<P> =>
  ownValue(node, key) ?? (propertyOf(key).fallback as ValueOf<P>);

/** A node's own values among some properties, those that are set. */
export const ownAmong = <P extends NodeKey>(node: Node, keys: readonly P[]): { [K in P]?: ValueOf<K> } => {
  const held: { [K in P]?: ValueOf<K> } = {};
  for (const key of keys) {
    const own = ownValue(node, key);
    if (own !== undefined) held[key] = own;
  }
  return held;
};

/** What holds without some properties, by key; null where nothing does. */
export const fallbacks = <P extends VaryingKey>(keys: readonly P[]): { readonly [K in P]: Seen<K> } =>
  fromKeys(keys, (key) => propertyOf(key).fallback) as { readonly [K in P]: Seen<K> };
