import { useMemo } from "react";
import type { Frame, PlanLayout } from "../../../../core/index.js";
import type { Chosen } from "../../../app/place.js";
import { type Peg, pegsOf, pullSpot } from "./pegs.js";
import type { Point } from "./under.js";

/** The pegs of what is chosen, and where a new way can be pulled from; none while several are chosen or one is dragged. */
export const usePegs = (
  frame: Frame,
  layout: PlanLayout | null,
  chosen: Chosen | null,
  isShown: boolean,
): { pegs: readonly Peg[]; pullFrom: Point | null } =>
  useMemo(
    () =>
      layout && chosen && isShown
        ? { pegs: pegsOf(frame, layout, chosen), pullFrom: pullSpot(frame, layout, chosen) }
        : { pegs: [], pullFrom: null },
    [frame, layout, chosen, isShown],
  );
