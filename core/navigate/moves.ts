import type { Lens } from "../frame/look.js";
import { hubAt } from "../frame/nodes.js";
import type { Id } from "../frame/parts.js";
import { lastOf } from "../frame/sure.js";
import { activeTab } from "./entries.js";
import type { Move, MoveKind, MoveSide } from "./event.js";
import { firstOverlay, isNarrowIn, isSplit, opensIn, shownInside } from "./focus.js";
import type { ContainerEntry, Entry, HubEntry, PairEntry, StackEntry } from "./state.js";

const tabToward = (lens: Lens, hub: Id, from: Id, to: Id): Move["toward"] => {
  const { children } = hubAt(lens.frame, hub);
  return children.indexOf(to) < children.indexOf(from) ? "back" : "forward";
};

const holds = (entries: readonly Entry[], wanted: Entry): boolean => entries.some((entry) => entry.key === wanted.key);

/** A child of a container as one side of a move: it shows as that container shows it. */
const sideOf = (lens: Lens, container: Entry, child: Entry | null): MoveSide | null =>
  child && { node: child.node, key: child.key, opens: opensIn(lens, container, child) };

/** A move between what was in a container and what is. */
const moveBetween = (
  lens: Lens,
  kind: MoveKind,
  toward: Move["toward"],
  [was, leaving]: readonly [ContainerEntry, Entry | null],
  [is, entering]: readonly [ContainerEntry, Entry | null],
): Move => ({
  kind,
  in: is.node,
  leaving: sideOf(lens, was, leaving),
  entering: sideOf(lens, is, entering),
  toward,
});

/** What opens over what was on top: what shows at the bottom changes first, then one overlay after the other. */
const openMoves = (lens: Lens, before: StackEntry, after: StackEntry, leaving: Entry): Move[] => {
  const moves: Move[] = [];
  const is = after.entries;
  const at = is.findIndex((entry) => entry.key === leaving.key);
  const opened = firstOverlay(lens, after);
  const pushed = is[opened - 1];
  if (pushed && at < opened - 1) moves.push(moveBetween(lens, "push", "forward", [before, leaving], [after, pushed]));
  for (let i = Math.max(at + 1, opened); i < is.length; i += 1) {
    const [beneath, over] = [is[i - 1], is[i]];
    if (beneath && over) moves.push(moveBetween(lens, "open", "forward", [after, beneath], [after, over]));
  }
  return moves;
};

/** In a stack: overlays that give way are closed from the top, then what shows at the bottom changes, then others open. */
const stackMoves = (lens: Lens, before: StackEntry, after: StackEntry): Move[] => {
  const [was, is] = [before.entries, after.entries];
  const moves: Move[] = [];
  const first = firstOverlay(lens, before);
  let top = was.length - 1;
  for (; top >= first; top -= 1) {
    const [over, beneath] = [was[top], was[top - 1]];
    if (!over || !beneath || holds(is, over)) break;
    moves.push(moveBetween(lens, "close", "back", [before, over], [before, beneath]));
  }
  const [leaving, entering] = [was[top], lastOf(is)];
  if (!leaving || leaving.key === entering.key) return moves;
  if (holds(is, leaving)) return [...moves, ...openMoves(lens, before, after, leaving)];
  const ends = [[before, leaving] as const, [after, entering] as const] as const;
  if (holds(was, entering)) moves.push(moveBetween(lens, top >= first ? "close" : "pop", "back", ...ends));
  else if (is.length > 1 && opensIn(lens, after, entering) !== "push")
    moves.push(moveBetween(lens, "open", "forward", ...ends));
  else moves.push(moveBetween(lens, "replace", "forward", ...ends));
  return moves;
};

/** A pair that shows one pane. */
const aloneMoves = (lens: Lens, before: PairEntry, after: PairEntry, narrow: boolean): Move[] => {
  const [leaving, entering] = [shownInside(lens, before, narrow), shownInside(lens, after, narrow)];
  if (leaving.key === entering.key) return movesInside(lens, leaving, entering, narrow);
  const ends = [[before, leaving] as const, [after, entering] as const] as const;
  if (before.side === after.side) return [moveBetween(lens, "replace", "forward", ...ends)];
  return after.side === "detail"
    ? [moveBetween(lens, "push", "forward", ...ends)]
    : [moveBetween(lens, "pop", "back", ...ends)];
};

const pairMoves = (lens: Lens, before: PairEntry, after: PairEntry, narrow: boolean): Move[] => {
  if (!isSplit(lens, after, narrow)) return aloneMoves(lens, before, after, narrow);
  if (before.detail?.key !== after.detail?.key) {
    const toward = after.detail ? "forward" : "back";
    return [moveBetween(lens, "replace", toward, [before, before.detail], [after, after.detail])];
  }
  if (before.list.key !== after.list.key)
    return [moveBetween(lens, "replace", "forward", [before, before.list], [after, after.list])];
  const inList = movesInside(lens, before.list, after.list, narrow);
  return inList.length || !before.detail || !after.detail
    ? inList
    : movesInside(lens, before.detail, after.detail, narrow);
};

const switchMove = (lens: Lens, before: HubEntry, after: HubEntry): Move => {
  const toward = tabToward(lens, after.node, before.active, after.active);
  return moveBetween(lens, "switch", toward, [before, activeTab(before)], [after, activeTab(after)]);
};

const isEmpty = (entry: Entry): boolean => entry.kind === "stack" && entry.entries.length === 0;

const movesInside = (lens: Lens, before: Entry, after: Entry, narrow: boolean): Move[] => {
  if (before === after || before.kind === "screen" || after.kind === "screen") return [];
  // a root in which nothing may be shown moves nothing
  if (isEmpty(before) || isEmpty(after)) return [];
  if (before.kind === "pair" && after.kind === "pair") return pairMoves(lens, before, after, narrow);
  if (before.kind === "hub" && after.kind === "hub" && before.active !== after.active)
    return [switchMove(lens, before, after)];
  const leaving = shownInside(lens, before, narrow);
  const entering = shownInside(lens, after, narrow);
  if (leaving.key === entering.key)
    return movesInside(lens, leaving, entering, isNarrowIn(lens, after, entering, narrow));
  if (before.kind === "stack" && after.kind === "stack") return stackMoves(lens, before, after);
  return [moveBetween(lens, "replace", "forward", [before, leaving], [after, entering])];
};

/** What changed on screen from one tree of entries to the next, at the outermost container of the focus path where it did. */
export const movesBetween = (lens: Lens, before: Entry, after: Entry): Move[] =>
  movesInside(lens, before, after, false);
