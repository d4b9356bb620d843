import { sure } from "../frame/sure.js";
import type { Action, Do, Id } from "../frame/parts.js";
import type { FixedFrame, FixedNode } from "../frame/types.js";

/** One way from a node to another: an action, a list's rows, or what a screen does by itself. */
export interface Way {
  from: Id;
  to: Id;
  via: "action" | "row" | "after";
  /** The action's id; null for rows and `after`. */
  action: Id | null;
  label: string;
  /** Where on the screen it stands. */
  place: string;
}

const target = (action: Do): Id | null =>
  action.kind === "open" ? action.to : action.kind === "set" && action.then ? target(action.then) : null;

/** The ways out of a node, in the order they stand on it: rows, actions, then what it does by itself. */
export const waysOut = (id: Id, node: FixedNode): Way[] => {
  const ways: Way[] = [];
  if (node.kind === "screen" && node.body && "opens" in node.body && node.body.opens)
    ways.push({ from: id, to: node.body.opens, via: "row", action: null, label: node.body.row, place: "row" });
  const actions: readonly Action[] =
    (node.kind === "screen" ? node.actions : node.kind === "hub" ? node.extras : undefined) ?? [];
  for (const action of actions) {
    const to = target(action.do);
    if (to !== null)
      ways.push({ from: id, to, via: "action", action: action.id, label: action.label, place: action.place });
  }
  const by = node.kind === "screen" && node.after ? target(node.after.do) : null;
  if (by !== null && node.kind === "screen")
    ways.push({
      from: id,
      to: by,
      via: "after",
      action: null,
      label: `after ${sure(node.after).ms} ms`,
      place: "by itself",
    });
  return ways;
};

const allWays = new WeakMap<FixedFrame, Map<Id, Way[]>>();

/** The ways into a node from anywhere in the frame. */
export const waysIn = (frame: FixedFrame, id: Id): readonly Way[] => {
  let ways = allWays.get(frame);
  if (!ways) {
    ways = new Map();
    for (const [from, node] of Object.entries(frame.nodes))
      for (const way of waysOut(from, node)) {
        const list = ways.get(way.to);
        if (list) list.push(way);
        else ways.set(way.to, [way]);
      }
    allWays.set(frame, ways);
  }
  return ways.get(id) ?? [];
};
