import type { Id } from "../../../../core/index.js";
import { useWrongAt } from "../../../app/open-frame.js";

/** That something is wrong at a node: how much, filled where it is a fault. */
export function FindingMark({ id, className = "" }: { id: Id; className?: string }) {
  const wrong = useWrongAt(id);
  if (wrong.length === 0) return null;
  const isFault = wrong.some(({ severity }) => severity === "fault");
  return (
    <span className={`pointer-events-none inline-flex items-center ${className}`}>
      <span
        data-wrong={isFault ? "fault" : "doubt"}
        title={wrong.map(({ says }) => says).join("\n")}
        className={`inline-flex h-4 min-w-4 items-center justify-center rounded-sm border border-clay px-[3px] text-[11px] leading-none font-bold ${isFault ? "bg-clay text-plate-2" : "bg-plate-2 text-clay"}`}
      >
        <span aria-hidden>{isFault ? "!" : "?"}</span>
        {wrong.length > 1 && <span aria-hidden>{wrong.length}</span>}
        <span className="sr-only">
          , {wrong.length} {isFault ? "wrong" : "in doubt"}
        </span>
      </span>
    </span>
  );
}
