import type { Id } from "../../../../core/index.js";
import type { DrawingHands } from "./drawing-hands.js";

export interface FoldMarkProps {
  id: Id;
  folded: boolean;
  /** How many are in it, however deep. */
  inside: number;
  hands: DrawingHands;
}

/** Folds a container to its name, and opens it again. */
export function FoldMark({ id, folded, inside, hands }: FoldMarkProps) {
  return (
    <button
      type="button"
      tabIndex={-1}
      aria-label={folded ? "Unfold" : "Fold"}
      title={folded ? `Unfold the ${inside} inside (C)` : "Fold to its name (C)"}
      className={`flex h-5 min-w-5 shrink-0 items-center justify-center gap-0.5 rounded-sm px-0.5 hover:bg-petrol-soft ${folded ? "border border-field bg-plate-2" : "text-ink-2"}`}
      onPointerDown={(event) => event.stopPropagation()}
      // the focus stays where it was: the keys that follow are for what is chosen
      onMouseDown={(event) => event.preventDefault()}
      onDoubleClick={(event) => event.stopPropagation()}
      onClick={() => hands.fold(id, !folded)}
    >
      <svg viewBox="0 0 12 12" width={12} height={12} aria-hidden>
        <path
          d={folded ? "M4 2.5 8 6 4 9.5" : "M2.5 4 6 8 9.5 4"}
          fill="none"
          stroke="currentColor"
          strokeWidth={1.6}
        />
      </svg>
      {folded && <span className="mono pr-0.5 text-[10.5px]">{inside}</span>}
    </button>
  );
}
