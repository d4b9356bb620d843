import type { Id } from "./parts.js";

interface Table<N> {
  readonly nodes: Readonly<Record<Id, N>>;
}
interface Kinded {
  kind: string;
}

/** The node of an id; undefined where there is none, also for names that every JavaScript object answers to. */
export const nodeIn = <N>({ nodes }: Table<N>, id: Id): N | undefined =>
  Object.hasOwn(nodes, id) ? nodes[id] : undefined;

const missing = (id: Id, what: string): never => {
  throw new Error(`${id} is no ${what} of the frame`);
};

/** The node of an id that is known to be there. Throws where it is not. */
export const nodeAt = <N>({ nodes }: Table<N>, id: Id): N => nodes[id] ?? missing(id, "node");

/** Whether a node is of a kind. */
export const isOfKind = <N extends Kinded, K extends string>(node: N, kind: K): node is Extract<N, { kind: K }> =>
  node.kind === kind;

const kindAt =
  <K extends string>(kind: K) =>
  <N extends Kinded>(frame: Table<N>, id: Id): Extract<N, { kind: K }> => {
    const node = frame.nodes[id];
    return node && isOfKind<N, K>(node, kind) ? node : missing(id, kind);
  };

/** The screen of an id that is known to be one. Throws where it is not; so do the three beside it. */
export const screenAt = kindAt("screen");
/** The stack of an id. */
export const stackAt = kindAt("stack");
/** The hub of an id. */
export const hubAt = kindAt("hub");
/** The pair of an id. */
export const pairAt = kindAt("pair");
