import { useDeferredValue, useMemo } from "react";
import {
  type AppMove,
  contradictionsOf,
  type Frame,
  lensOf,
  motionAt,
  usesOf,
  verdictsOf,
  type View,
} from "../../../core/index.js";
import { useEditing, useLive } from "../../app/open-frame.js";

/** Whether something is wrong with a motion in the moves that it is used for. */
const isBad = (frame: Frame, view: View, id: string, moves: readonly AppMove[]): boolean => {
  const motion = motionAt(frame, id);
  if (!motion) return false;
  const { look } = lensOf(frame, view);
  const kinds = new Map(moves.map((move) => [`${move.kind} ${look(move.node).edge}`, move]));
  return [...kinds.values()].some(
    ({ kind, node }) =>
      contradictionsOf(motion, kind, look(node).edge).length > 0 ||
      (["forward", "back"] as const).some((toward) => verdictsOf(motion, toward, kind).some(({ isGood }) => !isGood)),
  );
};

/** How many of the motions that are used have something wrong with them. */
export default function MotionHealth() {
  const frame = useDeferredValue(useEditing((edited) => edited.frame));
  const view = useLive((live) => live.device.view);
  const bad = useMemo(
    () => [...usesOf(frame, view)].filter(([id, moves]) => isBad(frame, view, id, moves)).length,
    [frame, view],
  );
  if (bad === 0) return null;
  return (
    <span
      className="rounded-sm bg-clay-soft px-1 text-[12px] font-semibold text-ink"
      title={`${bad} ${bad === 1 ? "motion that is used measures" : "motions that are used measure"} badly`}
    >
      ! {bad}
    </span>
  );
}
