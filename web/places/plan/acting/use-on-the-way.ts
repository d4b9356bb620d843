import { useSyncExternalStore } from "react";
import type { Frame, View } from "../../../../core/index.js";
import type { Planned } from "./edits.js";
import { useDrag } from "./use-drag.js";
import { usePull } from "./use-pull.js";
import type { Stage } from "../drawing/use-stage.js";

interface Options {
  frame: Frame;
  view: View;
  stage: Stage;
  make: (planned: Planned | null) => boolean;
}

/** What is on its way by the pointer: something that is dragged, or a new way that is pulled. */
export const useOnTheWay = ({ make, ...where }: Options) => {
  const { dragging, begin } = useDrag({ ...where, onDrop: (look) => make(look.planned) });
  const { pulling, begin: onPull } = usePull({ ...where, onDrop: make });
  const dragged = useSyncExternalStore(dragging.subscribe, () => dragging.get().drag?.chosen.id ?? null);
  return { onDrag: begin, drawn: { dragging, dragged, pulling, onPull } };
};
