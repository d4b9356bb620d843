import { childrenOf } from "../frame/defaults.js";
import { indexOf } from "../frame/frame-index.js";
import type { Action, Do, Frame, Id, Node } from "../frame/types.js";
import type { View } from "../frame/view.js";
import type { NavigationEvent } from "../navigate/events.js";
import { exploreFrom, type Reached } from "./route.js";
import { type Snapshot, snapshotOf } from "../observe/snapshot.js";
import type { State } from "../navigate/state.js";
import { launch, step } from "../navigate/step.js";
import { openedAt } from "./standpoint.js";
import { surfaceOf } from "../observe/surface.js";

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
export const waysOut = (id: Id, node: Node): Way[] => {
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
      label: `after ${node.after!.ms} ms`,
      place: "by itself",
    });
  return ways;
};

const allWays = new WeakMap<Frame, Map<Id, Way[]>>();

/** The ways into a node from anywhere in the frame. */
export const waysIn = (frame: Frame, id: Id): readonly Way[] => {
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

/** On a frame with more nodes than this, going everywhere takes longer than anyone waits for. */
const mostExplored = 150;

/** Whether a frame is small enough to be gone through everywhere whenever it changes. */
export const canExplore = (frame: Frame): boolean => indexOf(frame).ids.length <= mostExplored;

const explored = new WeakMap<Frame, Map<string, Map<Id, Reached>>>();

/** Everywhere a person can go from the launch, worked out once for each frame and view. */
export const exploredOf = (frame: Frame, view: View): Map<Id, Reached> => {
  let byView = explored.get(frame);
  if (!byView) explored.set(frame, (byView = new Map()));
  const key = JSON.stringify(view);
  let found = byView.get(key);
  if (!found) byView.set(key, (found = exploreFrom(frame, view, launch(frame, view).state)));
  return found;
};

/**
 * What taking a way comes to. `real` says that its screen was reached as a person would, not opened from outside; on a
 * frame too large to be explored every screen is opened, and taken for real.
 */
export interface TakenWay {
  /** Where it was taken from, and where that led. */
  from: State;
  state: State;
  snapshot: Snapshot;
  real: boolean;
}

const eventOf = (frame: Frame, way: Way): NavigationEvent => {
  if (way.via === "row") return { do: "pick", row: 3, in: way.from };
  if (way.via === "after") {
    const node = frame.nodes[way.from];
    return { do: "wait", ms: node?.kind === "screen" ? (node.after?.ms ?? 0) : 0 };
  }
  return { do: "tap", action: way.action!, in: way.from };
};

/** What has to happen before a way can be taken: a drawer that holds it is opened. */
const readyFor = (frame: Frame, view: View, state: State, way: Way): State | null => {
  const { bars, screens } = surfaceOf(frame, state, view);
  if (frame.nodes[way.from]?.kind !== "hub")
    return screens.some(({ entry, inert }) => entry.node === way.from && !inert) ? state : null;
  const bar = bars.find((each) => each.hub === way.from && !each.inert);
  return bar?.face === "drawer" && !bar.open ? step(frame, view, state, { do: "menu", open: true }).state : state;
};

const nowhere: ReadonlyMap<Id, Reached> = new Map();

/** Takes a way, from where a person first comes to its screen; null when it cannot be taken in this view. */
export const takeWay = (frame: Frame, view: View, way: Way): TakenWay | null => {
  const isKnown = canExplore(frame);
  const explored = isKnown ? exploredOf(frame, view) : nowhere;
  const isHub = frame.nodes[way.from]?.kind === "hub";
  const reached = isHub
    ? [...explored.values()].find(({ state }) => surfaceOf(frame, state, view).bars.some((bar) => bar.hub === way.from))
    : explored.get(way.from);
  const from = readyFor(frame, view, reached?.state ?? openedAt(frame, view, way.from), way);
  if (!from) return null;
  let event = eventOf(frame, way);
  const node = frame.nodes[way.from];
  if (event.do === "pick" && node?.kind === "screen" && node.body && "rows" in node.body)
    event = { ...event, row: Math.max(1, Math.min(event.row, node.body.rows)) };
  const taken = step(frame, view, from, event);
  return taken.state === from
    ? null
    : { from, state: taken.state, snapshot: snapshotOf(frame, view, taken), real: !isKnown || reached !== undefined };
};

/** How a node's ways in look: whether bars and header are there, and what Back does, for each. */
export interface WayInLook {
  way: Way;
  taken: TakenWay | null;
}

export const looksOf = (frame: Frame, view: View, id: Id): WayInLook[] =>
  waysIn(frame, id).map((way) => ({ way, taken: takeWay(frame, view, way) }));

/** The screens at or below a node, each once. */
export const screensUnder = (frame: Frame, id: Id): Id[] => {
  const found = new Set<Id>();
  const walk = (at: Id): void => {
    const node = frame.nodes[at];
    if (!node || found.has(at)) return;
    if (node.kind === "screen") found.add(at);
    else for (const child of childrenOf(node)) walk(child);
  };
  walk(id);
  return [...found];
};
