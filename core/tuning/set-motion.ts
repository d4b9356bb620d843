import { isVaried } from "../frame/cells.js";
import { bandsOf } from "../frame/defaults.js";
import { nodeIn } from "../frame/nodes.js";
import type { Action, Do, Id, MotionKind } from "../frame/parts.js";
import type { Frame } from "../frame/types.js";
import type { Edit } from "../edit/edit.js";
import { together } from "../edit/together.js";
import { type AppMove, openIn } from "./app-moves.js";

/** Where a motion can be set: for all of the app, within a container, for a screen, for one way in. */
export type MotionLevel = "app" | "container" | "screen" | "way";

/** What an action does with another motion, or with none of its own. */
export const withMotion = (action: Do, motion: Id | null): Do => {
  if (action.kind === "open") {
    const { motion: _, ...rest } = action;
    return motion === null ? rest : { ...rest, motion };
  }
  return action.kind === "set" && action.then ? { ...action, then: withMotion(action.then, motion) } : action;
};

/** Sets the motion of one way in; null where its action is not there. */
const wayEdit = (frame: Frame, from: Id, action: Id, motion: Id | null): Edit | null => {
  const node = nodeIn(frame, from);
  const key = node?.kind === "hub" ? "extras" : "actions";
  const actions: readonly Action[] | undefined =
    node?.kind === "hub" ? node.extras : node?.kind === "screen" ? node.actions : undefined;
  if (!actions?.some(({ id }) => id === action)) return null;
  const value = actions.map((each) => (each.id === action ? { ...each, do: withMotion(each.do, motion) } : each));
  return { kind: "set", node: from, key, value };
};

/** Sets the motion of a kind of moves on a node, or of the app (null): in every view, or on one target alone. */
const slotEdit = (frame: Frame, node: Id | null, kind: MotionKind, motion: Id | null, target?: Id): Edit => ({
  kind: "vary",
  node,
  slot: `motion.${kind}`,
  ...(target !== undefined && { cells: bandsOf(frame).map(({ id }) => ({ target, band: id })) }),
  ...(motion !== null && { value: motion }),
});

/**
 * Sets which motion a move has, at one level; null takes back what that level says. With a target it is set on that alone. Null
 * where there is nothing to set: a way in that is not there.
 */
export const motionEdit = (
  frame: Frame,
  { kind, node, container, way }: AppMove,
  level: MotionLevel,
  motion: Id | null,
  target?: Id,
): Edit | null => {
  switch (level) {
    case "way":
      return way && wayEdit(frame, way.from, way.action, motion);
    case "screen":
      return slotEdit(frame, node, kind, motion, target);
    case "container":
      return slotEdit(frame, container, kind, motion, target);
    case "app":
      return slotEdit(frame, null, kind, motion, target);
  }
};

/** Something that says a motion of its own for a kind of moves: a node, or an action on it; `node` null is the app, where that differs by view. */
export interface MotionException {
  node: Id | null;
  action: Id | null;
  /** What takes it back. */
  edit: Edit;
}

/** All that is otherwise than the app's one motion for a kind of moves. */
export const exceptionsOf = (frame: Frame, kind: MotionKind): MotionException[] => {
  const slot = `motion.${kind}`;
  const found: MotionException[] = [];
  if (isVaried(frame, slot)) {
    const own = frame.motion?.[kind] ?? null;
    found.push({ node: null, action: null, edit: slotEdit(frame, null, kind, own) });
  }
  for (const [id, node] of Object.entries(frame.nodes)) {
    if (node.motion?.[kind] !== undefined || isVaried(node, slot))
      found.push({ node: id, action: null, edit: slotEdit(frame, id, kind, null) });
    const actions = (node.kind === "screen" ? node.actions : node.kind === "hub" ? node.extras : undefined) ?? [];
    for (const action of actions) {
      const open = openIn(action.do);
      const opens = open && (open.as ?? nodeIn(frame, open.to)?.opens ?? "push");
      if (open?.motion === undefined || opens !== kind) continue;
      const edit = wayEdit(frame, id, action.id, null);
      if (edit) found.push({ node: id, action: action.id, edit });
    }
  }
  return found;
};

/** Makes all moves of a kind alike: takes back every exception; null where there is none. */
export const alikeEdit = (frame: Frame, kind: MotionKind): Edit | null => {
  const exceptions = exceptionsOf(frame, kind);
  if (exceptions.length === 0) return null;
  // two actions of one screen are set one after the other: the second must not bring back the first
  const bare = Object.entries(frame.nodes).flatMap(([id, node]): Edit[] => {
    const ways = exceptions.filter((each) => each.node === id && each.action !== null).map(({ action }) => action);
    if (ways.length === 0) return [];
    const key = node.kind === "hub" ? "extras" : "actions";
    const actions = (node.kind === "screen" ? node.actions : node.kind === "hub" ? node.extras : undefined) ?? [];
    const value = actions.map((each) => (ways.includes(each.id) ? { ...each, do: withMotion(each.do, null) } : each));
    return [{ kind: "set", node: id, key, value }];
  });
  return together([...exceptions.filter(({ action }) => action === null).map(({ edit }) => edit), ...bare]);
};
