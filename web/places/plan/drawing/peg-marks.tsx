import type { PointerEvent as ReactPointerEvent } from "react";
import { type Frame, plainName } from "../../../../core/index.js";
import { lights, useIsLit } from "./lit.js";
import type { Peg } from "./pegs.js";

export interface PegMarksProps {
  frame: Frame;
  pegs: readonly Peg[];
  /** Where a new way can be pulled from, px on the plan; null where nothing leads out. */
  pull: { x: number; y: number } | null;
  onPull: (event: ReactPointerEvent) => void;
}

/** The ways in and out of what is chosen, as pegs: the same mark at both ends, filled where it is the chosen one's. */
export function PegMarks({ frame, pegs, pull, onPull }: PegMarksProps) {
  return (
    <>
      {pull && (
        <span
          data-pull
          title="Pull this to where a new way should lead"
          className="absolute z-20 grid size-[19px] cursor-crosshair touch-none place-items-center rounded-full border-[1.5px] border-dashed border-petrol bg-plate-2 text-[13px] leading-none font-bold text-petrol hover:scale-125"
          style={{ left: pull.x - 9.5, top: pull.y - 9.5 }}
          onPointerDown={onPull}
        >
          +
        </span>
      )}
      {pegs.map((peg) => (
        <PegMark key={`${peg.mark} ${peg.filled}`} frame={frame} peg={peg} />
      ))}
    </>
  );
}

const looks = {
  dangling: "border-dashed border-clay bg-plate-2 text-clay",
  own: "bg-petrol text-on-petrol border-plate-2",
  other: "bg-plate-2 text-petrol border-petrol",
};

function PegMark({ frame, peg: { mark, filled, x, y, way, dangling } }: { frame: Frame; peg: Peg }) {
  const isLit = useIsLit(mark);
  const look = looks[dangling ? "dangling" : filled ? "own" : "other"];
  return (
    <span
      data-peg={mark}
      title={`${way.label}: from ${plainName(frame, way.from)} to ${plainName(frame, way.to)}${dangling ? ", which stands in no container" : ""}`}
      {...lights(mark)}
      className={`absolute z-20 grid size-[19px] place-items-center rounded-full border-[1.5px] text-[11px] font-bold ${look} ${isLit ? "scale-130 outline-2 outline-ink" : ""}`}
      style={{ left: x - 9.5, top: y - 9.5 }}
    >
      {mark}
    </span>
  );
}
