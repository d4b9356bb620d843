import { isLifted, type Lens } from "../frame/look.js";
import { lastOf } from "../frame/sure.js";
import type { Opens } from "../frame/parts.js";
import type { ContainerEntry, Entry, PairEntry, Pane, StackEntry } from "./state.js";

/** How an entry asks to appear: as its way in said, else as its node does in this view. */
const wishOf = ({ look }: Lens, entry: Entry): Opens => entry.opens ?? look(entry.node).opens;

/** Where the overlays on top of a stack begin: the entry before that is the topmost pushed one. The lowest is always pushed. */
export const firstOverlay = (lens: Lens, { entries }: StackEntry): number => {
  let i = entries.length;
  for (; i > 1; i -= 1) {
    const entry = entries[i - 1];
    if (!entry || wishOf(lens, entry) === "push") break;
  }
  return i;
};

/** How an entry of a stack is shown: what lies beneath a pushed entry is shown as pushed, whatever it asked. */
export const opensAt = (lens: Lens, stack: StackEntry, i: number): Opens => {
  const entry = stack.entries[i];
  return entry && i >= firstOverlay(lens, stack) ? wishOf(lens, entry) : "push";
};

/** How a child of a container on a path is shown; anything but an overlay is a push. */
export const opensIn = (lens: Lens, container: Entry, child: Entry): Opens =>
  container.kind === "stack" ? opensAt(lens, container, container.entries.lastIndexOf(child)) : "push";

/** Whether something lies above the first entry of a pane, however deep in it: through the active tab of a hub and the pane that a pair follows. */
const isOpened = (lens: Lens, entry: Entry, narrow: boolean): boolean => {
  if (entry.kind === "screen") return false;
  if (entry.kind === "stack" && entry.entries.length > 1) return true;
  const inner = shownNow(lens, entry, narrow);
  if (!inner) return false;
  if (entry.kind === "pair" && inner === entry.detail && !isSplit(lens, entry, narrow)) return true;
  return isOpened(lens, inner, isNarrowIn(lens, entry, inner, narrow));
};

/** Whether a pair stands side by side. `narrow`: it is inside a sheet, dialog or side. */
export const isSplit = ({ look }: Lens, pair: PairEntry, narrow: boolean): boolean => !narrow && look(pair.node).split;

/** The pane that the focus follows. */
export const paneOf = (lens: Lens, pair: PairEntry, narrow: boolean): Pane => {
  const { detail, side, list } = pair;
  if (!detail) return "list";
  if (!isSplit(lens, pair, narrow)) return side;
  return side === "list" && isOpened(lens, list, narrow) ? "list" : "detail";
};

/** What shows inside a container; undefined in a root in which nothing may be shown, and while a sweep goes on. */
const shownNow = (lens: Lens, entry: ContainerEntry, narrow: boolean): Entry | undefined => {
  switch (entry.kind) {
    case "stack":
      return entry.entries[entry.entries.length - 1];
    case "hub":
      return entry.tabs[entry.active];
    case "pair":
      return paneOf(lens, entry, narrow) === "detail" && entry.detail ? entry.detail : entry.list;
  }
};

/** The entry on the focus path inside a container that is not empty. `narrow`: the container is inside a sheet, dialog or side. */
export const shownInside = (lens: Lens, entry: ContainerEntry, narrow: boolean): Entry => {
  const shown = shownNow(lens, entry, narrow);
  if (!shown) throw new Error(`${entry.node} shows nothing`);
  return shown;
};

/** Whether what is in the container's child is inside a sheet, dialog or side. */
export const isNarrowIn = (lens: Lens, container: Entry, child: Entry, narrow: boolean): boolean =>
  narrow || (container.kind === "stack" && isLifted(opensIn(lens, container, child)));

/** The focus path: from an entry down to its top screen. */
export const focusPath = (lens: Lens, from: Entry, narrow = false): Entry[] => {
  const path: Entry[] = [from];
  let isNarrow = narrow;
  for (let at = from; at.kind !== "screen";) {
    const next = shownNow(lens, at, isNarrow);
    if (!next) break;
    isNarrow = isNarrowIn(lens, at, next, isNarrow);
    path.push(next);
    at = next;
  }
  return path;
};

/** The top screen's entry; the root's own while nothing may be shown. */
export const topOf = (lens: Lens, from: Entry): Entry => lastOf(focusPath(lens, from));

/** A step down a path: a container with the child that the path goes on with. */
export interface Link {
  container: Entry;
  child: Entry;
}

/** The step from depth `i` of a path down; undefined at its end and beyond. */
export const linkAt = (path: readonly Entry[], i: number): Link | undefined => {
  const [container, child] = [path[i], path[i + 1]];
  return container && child && { container, child };
};

/** Whether the entry at depth `i` of a path from the root stands inside a sheet, dialog or side. */
export const isNarrowAt = (lens: Lens, path: readonly Entry[], i: number): boolean => {
  for (let at = 0; at < i; at += 1) {
    const link = linkAt(path, at);
    if (link && isNarrowIn(lens, link.container, link.child, false)) return true;
  }
  return false;
};

/** The depth, on a path from the root, of the stack that shows the innermost overlay of it; -1 if there is none. */
export const overlayOn = (lens: Lens, path: readonly Entry[]): number => {
  for (let i = path.length - 2; i >= 0; i -= 1) {
    const link = linkAt(path, i);
    if (link && opensIn(lens, link.container, link.child) !== "push") return i;
  }
  return -1;
};

/** The pair at depth `i` of a path, if it shows its detail alone. */
export const detailAlone = (lens: Lens, path: readonly Entry[], i: number): PairEntry | null => {
  const pair = path[i];
  if (pair?.kind !== "pair" || path[i + 1] !== pair.detail) return null;
  return isSplit(lens, pair, isNarrowAt(lens, path, i)) ? null : pair;
};
