import { asRecord } from "./keys.js";
import { type PropertyKey, propertyOf, type ValueOf } from "./properties.js";
import type { Node } from "./types.js";

/** A property's own value on a node; undefined where it is not set there. */
export const ownValue = <P extends PropertyKey>(node: Node, key: P): ValueOf<P> | undefined =>
  asRecord(node)[key] as ValueOf<P> | undefined;

/**
 * What holds on a node of itself, whatever differs by view: its own value, else what holds without one. For who edits a
 * node; what it is in a view is in its look.
 */
export const heldBy = <P extends PropertyKey>(node: Node, key: P): ValueOf<P> =>
  ownValue(node, key) ?? (propertyOf(key).fallback as ValueOf<P>);
