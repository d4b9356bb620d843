import type { PointerEvent as ReactPointerEvent } from "react";
import type { Peg } from "./pegs.js";

export interface PegMarksProps {
  pegs: readonly Peg[];
  lit: string | null;
  onLit: (mark: string | null) => void;
  /** Where a new way can be pulled from, px on the plan; null where nothing leads out. */
  pull: { x: number; y: number } | null;
  onPull: (event: ReactPointerEvent) => void;
}

/** The ways in and out of what is chosen, as pegs: the same mark at both ends, filled where it is the chosen one's. */
export function PegMarks({ pegs, lit, onLit, pull, onPull }: PegMarksProps) {
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
      {pegs.map((peg) => {
        const isLit = lit === peg.mark;
        const look = peg.dangling
          ? "border-dashed border-clay bg-plate-2 text-clay"
          : peg.filled
            ? "bg-petrol text-on-petrol border-plate-2"
            : "bg-plate-2 text-petrol border-petrol";
        return (
          <span
            key={`${peg.mark} ${peg.filled}`}
            data-peg={peg.mark}
            title={`${peg.way.label}: from ${peg.way.from} to ${peg.way.to}${peg.dangling ? ", which stands in no container" : ""}`}
            onPointerEnter={() => onLit(peg.mark)}
            onPointerLeave={() => onLit(null)}
            className={`absolute z-20 grid size-[19px] place-items-center rounded-full border-[1.5px] text-[11px] font-bold ${look} ${isLit ? "scale-130 outline-2 outline-ink" : ""}`}
            style={{ left: peg.x - 9.5, top: peg.y - 9.5 }}
          >
            {peg.mark}
          </span>
        );
      })}
    </>
  );
}
