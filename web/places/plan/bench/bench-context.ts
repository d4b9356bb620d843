import { createContext, useContext } from "react";
import {
  type Cell,
  type Frame,
  heldBy,
  type Id,
  isOfKind,
  type Node,
  nodeAt,
  type NodeKey,
  type NodeKind,
  type Planned,
  type Slot,
  type Standpoints,
  type ValueOf,
  type View,
  type WayInLook,
} from "../../../../core/index.js";
import type { Chosen } from "../../../data/selection.js";

/** What every group of the bench works on. */
export interface BenchSubject {
  frame: Frame;
  view: View;
  /** Where a person stands who comes to each node. */
  points: Standpoints;
  chosen: Chosen;
  /** What each property causes now, by its key. */
  said: Readonly<Record<string, string>>;
  /** Every way in, taken. */
  looks: readonly WayInLook[];
  /** Sets one key of the node; undefined brings its default back. */
  set: (key: NodeKey, value: unknown, label: string) => void;
  /** Sets what may differ by view in some cells; in every view where none is given. */
  vary: (slot: Slot, cells: Cell[] | undefined, value: unknown, label: string) => void;
  /** Makes an edit; answers whether it was made. */
  make: (planned: Planned | null) => boolean;
  onChoose: (chosen: Chosen, also?: readonly Chosen[]) => void;
}

const Subject = createContext<BenchSubject | null>(null);
export const BenchProvider = Subject.Provider;

/** What the bench is about. */
export const useBench = (): BenchSubject & { id: Id } => {
  const subject = useContext(Subject);
  if (!subject) throw new Error("this stands on no bench");
  return { ...subject, id: subject.chosen.id };
};

/** The node that the bench is about. */
export const useNode = (): Node => {
  const { frame, id } = useBench();
  return nodeAt(frame, id);
};

/** The same for a group of one kind of nodes. */
export const useNodeOf = <K extends NodeKind>(kind: K): Extract<Node, { kind: K }> => {
  const node = useNode();
  if (!isOfKind<Node, K>(node, kind)) throw new Error(`a group of a ${kind} is shown for a ${node.kind}`);
  return node;
};

/** What holds on the node of itself. */
export const useHeld = <P extends NodeKey>(key: P): ValueOf<P> => heldBy(useNode(), key);
