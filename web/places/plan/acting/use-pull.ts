import { type PointerEvent as ReactPointerEvent, useMemo, useRef } from "react";
import { type Frame, type Id, plainName, type View } from "../../../../core/index.js";
import { useOpenFrame } from "../../../app/open-frame.js";
import { External } from "../../../data/external.js";
import { pointsIn } from "../../../data/points.js";
import { followWith } from "../../../parts/follow-pointer.js";
import { loadable } from "../../../parts/loadable.js";
import type { Planned } from "./edits.js";
import type { Point } from "../drawing/under.js";
import type { Pull } from "./pull-look.js";
import type { Stage } from "../drawing/use-stage.js";

const looks = loadable(() => import("./pull-look.js"));

interface Options {
  frame: Frame;
  view: View;
  stage: Stage;
  onDrop: (planned: Planned) => void;
}

/** What is pulled; outside React, as what is dragged is. */
export type Pulling = External<{ pull: Pull | null }>;

/** Pulling a peg from a card to where a new way should lead, with what it would do said before it is let go. */
export const usePull = (options: Options) => {
  const pulling = useMemo<Pulling>(() => new External<{ pull: Pull | null }>({ pull: null }), []);
  const { ways } = useOpenFrame();
  const latest = useRef(options);
  latest.current = options;
  const show = (pull: Pull | null) => pulling.set({ pull });

  const begin = (event: ReactPointerEvent, from: Id, start: Point): void => {
    const { frame, view, stage } = latest.current;
    const { layout } = stage;
    if (event.button !== 0 || !layout) return;
    event.preventDefault();
    event.stopPropagation();
    const move = (moved: PointerEvent, { pullTarget, lookAtPull }: Awaited<ReturnType<typeof looks.load>>) => {
      const at = stage.pointOf(moved);
      if (!at) return;
      const target = pullTarget(frame, layout, at);
      const before = pulling.get().pull;
      const same = before !== null && before.target?.id === target?.id;
      const look = same
        ? before
        : target
          ? lookAtPull(pointsIn(ways, frame, view), from, target.id)
          : { planned: null, says: ["pull it onto a card, a tab or a plate"], refused: false };
      show({ from, start, at, target, planned: look.planned, says: look.says, refused: look.refused });
    };
    followWith(looks, move, (isLetGo) => {
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
