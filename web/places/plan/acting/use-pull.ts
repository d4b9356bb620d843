import { type PointerEvent as ReactPointerEvent, useMemo, useRef } from "react";
import {
  applySoundly,
  type Frame,
  type Id,
  plainName,
  type PlanLayout,
  type View,
  waySays,
  waysOut,
  firstOf,
  nodeAt,
} from "../../../../core/index.js";
import { External } from "../../../data/external.js";
import { followPointer } from "../../../parts/follow-pointer.js";
import { addWay, type Planned } from "./edits.js";
import { type Point, smallestUnder } from "../drawing/under.js";
import type { Stage } from "../drawing/use-stage.js";

/** A new way on its way from a node to where it should lead. */
export interface Pull {
  from: Id;
  start: Point;
  at: Point;
  target: { id: Id; x: number; y: number; width: number; height: number } | null;
  planned: Planned | null;
  says: string[];
  refused: boolean;
}

interface Options {
  frame: Frame;
  view: View;
  stage: Stage;
  onDrop: (planned: Planned) => void;
}

/** The smallest thing under a point that a way can lead to. */
const targetAt = (frame: Frame, layout: PlanLayout, point: Point): Pull["target"] => {
  const found = smallestUnder(layout, point);
  return found && found.id !== frame.root ? found : null;
};

/** What a new way to the target would come to: the edit, and what taking it does. */
const lookAt = (frame: Frame, view: View, from: Id, to: Id): Pick<Pull, "planned" | "says" | "refused"> => {
  if (to === from) return { planned: null, says: ["a way from a screen to itself changes nothing"], refused: true };
  const planned = addWay(frame, from, to);
  const result = applySoundly(frame, planned.edit);
  if (!result.ok)
    return { planned: null, says: [firstOf(result.faults).received, firstOf(result.faults).remedy], refused: true };
  const way = waysOut(from, nodeAt(result.frame, from)).findLast((each) => each.to === to);
  return { planned, says: way ? [waySays(result.frame, view, way)] : [], refused: false };
};

/** What is pulled; outside React, as what is dragged is. */
export type Pulling = External<{ pull: Pull | null }>;

/** Pulling a peg from a card to where a new way should lead, with what it would do said before it is let go. */
export const usePull = (options: Options) => {
  const pulling = useMemo<Pulling>(() => new External<{ pull: Pull | null }>({ pull: null }), []);
  const latest = useRef(options);
  latest.current = options;
  const show = (pull: Pull | null) => pulling.set({ pull });

  const begin = (event: ReactPointerEvent, from: Id, start: Point): void => {
    const { frame, view, stage } = latest.current;
    const { layout } = stage;
    if (event.button !== 0 || !layout) return;
    event.preventDefault();
    event.stopPropagation();
    const move = (moved: PointerEvent) => {
      const at = stage.pointOf(moved);
      if (!at) return;
      const target = targetAt(frame, layout, at);
      const before = pulling.get().pull;
      const same = before !== null && before.target?.id === target?.id;
      const look = same
        ? before
        : target
          ? lookAt(frame, view, from, target.id)
          : { planned: null, says: ["pull it onto a card, a tab or a plate"], refused: false };
      show({ from, start, at, target, planned: look.planned, says: look.says, refused: look.refused });
    };
    followPointer(move, (isLetGo) => {
      const pulled = pulling.get().pull;
      show(null);
      if (isLetGo && pulled?.planned) latest.current.onDrop(pulled.planned);
    });
  };
  return { pulling, begin };
};

/** What a pulled way is called. */
export const pullTitle = (frame: Frame, pull: Pull): string =>
  pull.target ? `${plainName(frame, pull.from)} → ${plainName(frame, pull.target.id)}` : "A new way";
