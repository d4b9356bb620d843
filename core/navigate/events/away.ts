import { hasSystemBack } from "../../frame/defaults.js";
import { targetIn } from "../../frame/view.js";
import { canDismiss, closeOverlay, goUp, overlayOf } from "../back.js";
import { backOrDrawer, openDrawer } from "../drawer.js";
import { focusPath } from "../focus.js";
import { ignore, type Run } from "../run.js";
import type { State } from "../state.js";

/** The system's Back. */
export const back = (run: Run, state: State): State =>
  hasSystemBack(targetIn(run.frame, run.view))
    ? backOrDrawer(run, state)
    : ignore(run, state, null, { why: "no-system-back" });

/** Header Back, or the swipe from an edge. */
export const up = (run: Run, state: State): State => {
  if (openDrawer(run, state) !== null) return ignore(run, state, state.drawer, { why: "drawer-open" });
  return goUp(run, state)?.state ?? ignore(run, state, null, { why: "nothing-beneath" });
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
