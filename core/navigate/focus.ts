import { hasRoomToSplit, isLifted, opensOf } from "../frame/opens.js";
import type { Frame, Opens } from "../frame/types.js";
import type { View } from "../frame/view.js";
import { type ContainerEntry, type Entry, isPair, isStack, type Pane, type PairEntry, type StackEntry } from "./state.js";

/** What a state is looked at through: which of its entries show, and how, depends on the frame and the view. */
export interface Lens {
  readonly frame: Frame;
  readonly view: View;
}

/**
 * How an entry asks to appear: as its way in said, else as its node does in this view. A node that is gone, as in a state
 * left on an older frame, is a push.
 */
export const wishOf = ({ frame, view }: Lens, entry: Entry): Opens => {
  const node = frame.nodes[entry.node];
  return entry.opens ?? (node ? opensOf(frame, node, view) : "push");
};

/** Where the overlays on top of a stack begin: the entry before that is the topmost pushed one. The lowest is always pushed. */
export const firstOverlay = (lens: Lens, stack: StackEntry): number => {
  const { entries } = stack.inside;
  let i = entries.length;
  while (i > 1 && wishOf(lens, entries[i - 1]!) !== "push") i -= 1;
  return i;
};

/** How an entry of a stack is shown: what lies beneath a pushed entry is shown as pushed, whatever it asked. */
export const opensAt = (lens: Lens, stack: StackEntry, i: number): Opens =>
  i >= firstOverlay(lens, stack) ? wishOf(lens, stack.inside.entries[i]!) : "push";

/** How a child of a container on a path is shown; anything but an overlay is a push. */
export const opensIn = (lens: Lens, container: Entry, child: Entry): Opens =>
  isStack(container) ? opensAt(lens, container, container.inside.entries.lastIndexOf(child)) : "push";

/** Whether something lies above the first entry of a pair's list. */
const isOpened = (list: Entry): boolean => {
  if (!isStack(list)) return false;
  const [first, ...above] = list.inside.entries;
  return above.length > 0 || (first !== undefined && isOpened(first));
};

export const isSplit = ({ frame, view }: Lens, pair: Entry, narrow: boolean): boolean => {
  const node = narrow ? undefined : frame.nodes[pair.node];
  return node?.kind === "pair" && hasRoomToSplit(frame, node, view);
};

/** The pane that the focus follows. */
export const paneOf = (lens: Lens, pair: PairEntry, narrow: boolean): Pane => {
  const { detail, side, list } = pair.inside;
  if (!detail) return "list";
  if (!isSplit(lens, pair, narrow)) return side;
  return side === "list" && isOpened(list) ? "list" : "detail";
};

/** What shows inside a container; undefined in a root in which nothing may be shown, and while a sweep goes on. */
const shownNow = (lens: Lens, entry: ContainerEntry, narrow: boolean): Entry | undefined => {
  const { inside } = entry;
  switch (inside.kind) {
    case "stack":
      return inside.entries[inside.entries.length - 1];
    case "hub":
      return inside.tabs[inside.active];
    case "pair":
      return paneOf(lens, entry as PairEntry, narrow) === "list" ? inside.list : inside.detail!;
  }
};

/** The entry on the focus path inside a container that is not empty. `narrow`: the container is inside a sheet, dialog or side. */
export const shownInside = (lens: Lens, entry: ContainerEntry, narrow: boolean): Entry =>
  shownNow(lens, entry, narrow)!;

/** Whether what is in the container's child is inside a sheet, dialog or side. */
export const isNarrowIn = (lens: Lens, container: Entry, child: Entry, narrow: boolean): boolean =>
  narrow || (isStack(container) && isLifted(opensIn(lens, container, child)));

/** The focus path: from an entry down to its top screen. */
export const focusPath = (lens: Lens, from: Entry, narrow = false): Entry[] => {
  const path: Entry[] = [from];
  let isNarrow = narrow;
  for (let at = from; at.inside;) {
    const next = shownNow(lens, at as ContainerEntry, isNarrow);
    if (!next) break;
    isNarrow = isNarrowIn(lens, at, next, isNarrow);
    path.push(next);
    at = next;
  }
  return path;
};

/** The top screen's entry; the root's own while nothing may be shown. */
export const topOf = (lens: Lens, from: Entry): Entry => focusPath(lens, from).at(-1)!;

/** Whether the entry at depth `i` of a path from the root stands inside a sheet, dialog or side. */
export const isNarrowAt = (lens: Lens, path: readonly Entry[], i: number): boolean => {
  let narrow = false;
  for (let at = 0; at < i && !narrow; at += 1) narrow = isNarrowIn(lens, path[at]!, path[at + 1]!, false);
  return narrow;
};

/** The depth, on a path from the root, of the stack that shows the innermost overlay of it; -1 if there is none. */
export const overlayOn = (lens: Lens, path: readonly Entry[]): number => {
  for (let i = path.length - 2; i >= 0; i -= 1) if (opensIn(lens, path[i]!, path[i + 1]!) !== "push") return i;
  return -1;
};

/** Whether the entry at depth `i` of a path is a pair that shows its detail alone. */
export const showsDetailAlone = (lens: Lens, path: readonly Entry[], i: number): boolean => {
  const pair = path[i]!;
  return isPair(pair) && path[i + 1] === pair.inside.detail && !isSplit(lens, pair, isNarrowAt(lens, path, i));
};
