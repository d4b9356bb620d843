import type { Frame, HubNode, Id } from "../frame/types.js";
import type { Move } from "./events.js";
import { type Entry, isHub, isStack, shownInside } from "./state.js";

const tabToward = (frame: Frame, hub: Id, from: Id, to: Id): Move["toward"] => {
  const { children } = frame.nodes[hub] as HubNode;
  return children.indexOf(to) < children.indexOf(from) ? "back" : "forward";
};

/** What changed on screen from one tree of entries to the next, at the outermost container of the focus path where it did. */
export const movesBetween = (frame: Frame, before: Entry, after: Entry): Move[] => {
  if (before === after || !before.inside || !after.inside) return [];
  const leaving = shownInside(before);
  const entering = shownInside(after);
  const ends = { in: after.node, leaving: leaving.node, entering: entering.node };
  if (isHub(before) && isHub(after) && before.inside.active !== after.inside.active) {
    const toward = tabToward(frame, after.node, before.inside.active, after.inside.active);
    return [{ kind: "switch", ...ends, toward }];
  }
  if (leaving.key === entering.key) return movesBetween(frame, leaving, entering);
  if (isStack(before) && isStack(after)) {
    const kept = (entry: Entry, among: readonly Entry[]) => among.some((other) => other.key === entry.key);
    if (kept(leaving, after.inside.entries)) return [{ kind: "push", ...ends, toward: "forward" }];
    if (kept(entering, before.inside.entries)) return [{ kind: "pop", ...ends, toward: "back" }];
  }
  return [{ kind: "replace", ...ends, toward: "forward" }];
};
