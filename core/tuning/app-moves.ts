import { childrenOf, startOf } from "../frame/defaults.js";
import { indexOf, placesOf } from "../frame/frame-index.js";
import { type Lens, lensOf } from "../frame/look.js";
import { nodeIn } from "../frame/nodes.js";
import type { Action, Do, DoOpen, Id, MotionKind } from "../frame/parts.js";
import type { FixedFrame } from "../frame/types.js";
import type { View } from "../frame/view.js";
import { type Cascade, cascadeOf } from "../motion/cascade.js";

/** A way in that says how its screen comes: the screen or hub it stands on, its action, and what that says. */
export interface OwnWay {
  from: Id;
  action: Id;
  label: string;
  motion: Id | null;
}

/** One move that an app can make, in the views of one class. */
export interface AppMove {
  /** The same as long as the move is: its container, what comes, and the way it comes by. */
  id: string;
  kind: MotionKind;
  container: Id;
  node: Id;
  /** Null where it is the same by every way. */
  way: OwnWay | null;
}

/** What an action opens, also behind what it sets. */
export const openIn = (action: Do): DoOpen | null =>
  action.kind === "open" ? action : action.kind === "set" && action.then ? openIn(action.then) : null;

const plainMove = (kind: MotionKind, container: Id, node: Id): AppMove => ({
  id: `${container}.${node}`,
  kind,
  container,
  node,
  way: null,
});

/** The moves within a container, in the order of its children. */
const movesIn = ({ frame, look }: Lens, id: Id): AppMove[] => {
  const node = nodeIn(frame, id);
  switch (node?.kind) {
    case "stack":
    case "hub": {
      const start = startOf(node);
      return childrenOf(node)
        .filter((child) => child !== start)
        .map((child) => plainMove(node.kind === "hub" ? "switch" : look(child).opens, id, child));
    }
    case "pair":
      return node.detail ? [plainMove(look(id).split ? "replace" : "push", id, node.detail)] : [];
    default:
      return [];
  }
};

const actionsOn = (frame: FixedFrame, id: Id): readonly Action[] => {
  const node = nodeIn(frame, id);
  return (node?.kind === "screen" ? node.actions : node?.kind === "hub" ? node.extras : undefined) ?? [];
};

/** The moves of those actions on a node that say themselves how what they open comes. */
const movesBy = ({ frame, look }: Lens, from: Id): AppMove[] =>
  actionsOn(frame, from).flatMap((action) => {
    const open = openIn(action.do);
    const [container] = open ? placesOf(frame, open.to) : [];
    if (!open || container === undefined || (open.motion === undefined && open.as === undefined)) return [];
    const parent = nodeIn(frame, container);
    const opens = parent?.kind === "stack" ? (open.as ?? look(open.to).opens) : null;
    const kind: MotionKind = opens ?? (parent?.kind === "hub" ? "switch" : "replace");
    const way = { from, action: action.id, label: action.label, motion: open.motion ?? null };
    return [{ id: `${container}.${open.to}.${from}.${action.id}`, kind, container, node: open.to, way }];
  });

/** Every move that an app can make in a view: what is pushed or laid over, each other tab, each detail, and the ways in that say it themselves. */
export const appMoves = (frame: FixedFrame, view: View): AppMove[] => {
  const lens = lensOf(frame, view);
  const { ids } = indexOf(frame);
  return ids.flatMap((id) => [...movesIn(lens, id), ...movesBy(lens, id)]);
};

/** Which motion a move of an app has, and who says so. */
export const cascadeFor = (lens: Lens, { kind, node, container, way }: AppMove): Cascade =>
  cascadeOf(lens, { kind, node, container, way: way?.motion ?? null });

/** The moves of an app by the motion that they have. */
export const usesOf = (frame: FixedFrame, view: View): ReadonlyMap<Id, readonly AppMove[]> => {
  const lens = lensOf(frame, view);
  const uses = new Map<Id, AppMove[]>();
  for (const move of appMoves(frame, view)) {
    const { id } = cascadeFor(lens, move);
    const known = uses.get(id);
    if (known) known.push(move);
    else uses.set(id, [move]);
  }
  return uses;
};
