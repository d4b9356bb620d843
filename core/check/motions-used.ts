import type { Id, Motion, MotionKind } from "../frame/parts.js";
import { plainName } from "../frame/names.js";
import type { AppMove } from "../tuning/app-moves.js";
import { appMoves, cascadeFor } from "../tuning/app-moves.js";
import type { Checked, CheckedView } from "./rule.js";

/** A motion that some move of an app has, with the views and the first move it is seen at. */
export interface MotionUsed {
  id: Id;
  motion: Motion;
  kind: MotionKind;
  edge: "start" | "end";
  move: AppMove;
  views: CheckedView[];
}

const known = new WeakMap<Checked, readonly MotionUsed[]>();

const gathered = ({ frame, views }: Checked): MotionUsed[] => {
  const used = new Map<string, MotionUsed>();
  for (const view of views)
    for (const move of appMoves(frame, view.view)) {
      const { id, motion } = cascadeFor(view.lens, move);
      const { edge } = view.lens.look(move.node);
      const name = `${id} ${move.kind} ${move.kind === "side" ? edge : ""}`;
      const there = used.get(name);
      if (!there) used.set(name, { id, motion, kind: move.kind, edge, move, views: [view] });
      else if (there.views.at(-1) !== view) there.views.push(view);
    }
  return [...used.values()];
};

/** The motions that the moves of an app have, each once for each kind of move. */
export const motionsUsed = (checked: Checked): readonly MotionUsed[] => {
  let used = known.get(checked);
  if (!used) known.set(checked, (used = gathered(checked)));
  return used;
};

/** A motion with the move it is seen at, in words. */
export const motionWords = ({ motion, move }: MotionUsed, { frame }: Checked): string =>
  `${motion.name}, as ${plainName(frame, move.node)} comes`;
