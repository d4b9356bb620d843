import type { Frame, HubNode, Id } from "../frame/types.js";
import type { Move } from "./events.js";
import { firstOverlay, isNarrowIn, isSplit, type Lens, opensAt, shownInside } from "./focus.js";
import { type ContainerEntry, type Entry, isHub, isPair, isStack, type PairEntry, type StackEntry } from "./state.js";

const tabToward = (frame: Frame, hub: Id, from: Id, to: Id): Move["toward"] => {
  const { children } = frame.nodes[hub] as HubNode;
  return children.indexOf(to) < children.indexOf(from) ? "back" : "forward";
};

const holds = (entries: readonly Entry[], wanted: Entry): boolean => entries.some((entry) => entry.key === wanted.key);

/** In a stack: overlays that give way are closed from the top, then what shows at the bottom changes, then others open. */
const stackMoves = (lens: Lens, before: StackEntry, after: StackEntry): Move[] => {
  const [was, is] = [before.inside.entries, after.inside.entries];
  const moves: Move[] = [];
  const move = (kind: Move["kind"], leaving: Entry, entering: Entry, toward: Move["toward"]) =>
    moves.push({ kind, in: after.node, leaving: leaving.node, entering: entering.node, toward });
  const first = firstOverlay(lens, before);
  let top = was.length - 1;
  for (; top >= first && !holds(is, was[top]!); top -= 1) move("close", was[top]!, was[top - 1]!, "back");
  const [leaving, entering] = [was[top]!, is.at(-1)!];
  if (leaving.key === entering.key) return moves;
  if (holds(is, leaving)) {
    const at = is.findIndex((entry) => entry.key === leaving.key);
    const opened = firstOverlay(lens, after);
    const pushed = is[opened - 1]!;
    if (at < opened - 1) move("push", leaving, pushed, "forward");
    for (let i = Math.max(at + 1, opened); i < is.length; i += 1) move("open", is[i - 1]!, is[i]!, "forward");
  } else if (holds(was, entering)) move(top >= first ? "close" : "pop", leaving, entering, "back");
  else if (opensAt(lens, after, is.length - 1) !== "push" && is.length > 1) move("open", leaving, entering, "forward");
  else move("replace", leaving, entering, "forward");
  return moves;
};

const isEmpty = (entry: Entry): boolean => isStack(entry) && entry.inside.entries.length === 0;

const pairMoves = (lens: Lens, before: PairEntry, after: PairEntry, narrow: boolean): Move[] => {
  const [was, is] = [before.inside, after.inside];
  const at = after.node;
  if (!isSplit(lens, after, narrow)) {
    const [leaving, entering] = [shownInside(lens, before, narrow), shownInside(lens, after, narrow)];
    const ends = { in: at, leaving: leaving.node, entering: entering.node };
    if (leaving.key === entering.key) return movesInside(lens, leaving, entering, narrow);
    if (was.side === is.side) return [{ kind: "replace", ...ends, toward: "forward" }];
    return is.side === "detail"
      ? [{ kind: "push", ...ends, toward: "forward" }]
      : [{ kind: "pop", ...ends, toward: "back" }];
  }
  if (was.detail?.key !== is.detail?.key)
    return [
      {
        kind: "replace",
        in: at,
        leaving: was.detail?.node ?? null,
        entering: is.detail?.node ?? null,
        toward: is.detail ? "forward" : "back",
      },
    ];
  if (was.list.key !== is.list.key)
    return [{ kind: "replace", in: at, leaving: was.list.node, entering: is.list.node, toward: "forward" }];
  const inList = movesInside(lens, was.list, is.list, narrow);
  return inList.length || !was.detail || !is.detail ? inList : movesInside(lens, was.detail, is.detail, narrow);
};

const movesInside = (lens: Lens, before: Entry, after: Entry, narrow: boolean): Move[] => {
  if (before === after || !before.inside || !after.inside) return [];
  // a root in which nothing may be shown moves nothing
  if (isEmpty(before) || isEmpty(after)) return [];
  if (isPair(before) && isPair(after)) return pairMoves(lens, before, after, narrow);
  const leaving = shownInside(lens, before as ContainerEntry, narrow);
  const entering = shownInside(lens, after as ContainerEntry, narrow);
  if (isHub(before) && isHub(after) && before.inside.active !== after.inside.active) {
    const toward = tabToward(lens.frame, after.node, before.inside.active, after.inside.active);
    return [{ kind: "switch", in: after.node, leaving: leaving.node, entering: entering.node, toward }];
  }
  if (leaving.key === entering.key)
    return movesInside(lens, leaving, entering, isNarrowIn(lens, after, entering, narrow));
  if (isStack(before) && isStack(after)) return stackMoves(lens, before, after);
  return [{ kind: "replace", in: after.node, leaving: leaving.node, entering: entering.node, toward: "forward" }];
};

/** What changed on screen from one tree of entries to the next, at the outermost container of the focus path where it did. */
export const movesBetween = (lens: Lens, before: Entry, after: Entry): Move[] =>
  movesInside(lens, before, after, false);
