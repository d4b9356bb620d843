import type { Peg } from "./pegs.js";

export interface PegMarksProps {
  pegs: readonly Peg[];
  lit: string | null;
  onLit: (mark: string | null) => void;
}

/** The ways in and out of what is chosen, as pegs: the same mark at both ends, filled where it is the chosen one's. */
export function PegMarks({ pegs, lit, onLit }: PegMarksProps) {
  return (
    <>
      {pegs.map((peg) => {
        const isLit = lit === peg.mark;
        const look = peg.filled ? "bg-petrol text-on-petrol border-plate-2" : "bg-plate-2 text-petrol border-petrol";
        return (
          <span
            key={`${peg.mark} ${peg.filled}`}
            data-peg={peg.mark}
            title={`${peg.way.label}: from ${peg.way.from} to ${peg.way.to}`}
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
