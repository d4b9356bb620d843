import { hasSystemBack } from "../../frame/defaults.js";
import { targetIn } from "../../frame/view.js";
import { canDismiss, closeOverlay, goUp, overlayOf } from "../back.js";
import { backOrDrawer, openDrawer } from "../drawer.js";
import type { Id } from "../../frame/parts.js";
import type { EventOf } from "../event.js";
import { focusPath, linkAt, opensIn } from "../focus.js";
import { ignore, type Run } from "../run.js";
import type { Entry, State } from "../state.js";
import { onTouched } from "../touched.js";

/** The system's Back. */
export const back = (run: Run, state: State): State =>
  hasSystemBack(targetIn(run.frame, run.view))
    ? backOrDrawer(run, state)
    : ignore(run, state, null, { why: "no-system-back" });

/** The path down to an overlay of the focus path, by the node that lies over the rest; null where none is called so. */
const pathToOverlay = (run: Run, state: State, node: Id): Entry[] | null => {
  const path = focusPath(run, state.root);
  const at = path.findLastIndex((entry, i) => {
    const link = linkAt(path, i - 1);
    return entry.node === node && link !== undefined && opensIn(run, link.container, link.child) !== "push";
  });
  return at < 0 || path[at]?.kind === "screen" ? null : path.slice(0, at + 1);
};

/** Header Back, the close of a strip, or the swipe from an edge: on the path to a screen that is named, or of an overlay. */
export const up = (run: Run, state: State, { in: node }: EventOf<"up">): State => {
  if (openDrawer(run, state) !== null) return ignore(run, state, state.drawer, { why: "drawer-open" });
  const nothing = () => ignore(run, state, null, { why: "nothing-beneath" });
  if (node === undefined) return goUp(run, state)?.state ?? nothing();
  const overlay = pathToOverlay(run, state, node);
  if (overlay) return closeOverlay(run, state, overlay)?.state ?? nothing();
  return onTouched(run, state, node, ({ path }) => goUp(run, state, path)?.state ?? nothing());
};

/** A swipe down, a tap outside, Escape. */
export const dismiss = (run: Run, state: State): State => {
  if (openDrawer(run, state) !== null) return { ...state, drawer: null };
  const path = focusPath(run, state.root);
  const closed = canDismiss(run, path) ? closeOverlay(run, state, path) : null;
  if (closed) return closed.state;
  const overlay = overlayOf(run, path);
  return overlay
    ? ignore(run, state, overlay.node, { why: "not-dismissed" })
    : ignore(run, state, null, { why: "nothing-to-dismiss" });
};
