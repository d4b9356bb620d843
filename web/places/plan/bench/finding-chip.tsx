import type { Id } from "../../../../core/index.js";
import { useWrongAt } from "../../../app/open-frame.js";
import { usePlace } from "../../../app/places.js";
import { keyOf } from "../../../data/finding-key.js";

/** How much is wrong with what is chosen, the worst told on hover; it leads to where that is shown and mended. */
export function FindingChip({ id }: { id: Id }) {
  const wrong = useWrongAt(id);
  const [, go] = usePlace();
  const [worst] = wrong;
  if (!worst) return null;
  const isFault = worst.severity === "fault";
  const count = `${wrong.length} ${isFault ? "wrong" : "in doubt"}`;
  const says = wrong.map((finding) => finding.says).join("\n");
  return (
    <button
      type="button"
      aria-label={`${count}: ${says}`}
      title={says}
      className="inline-flex shrink-0 items-center gap-1 rounded-sm border border-clay bg-clay-soft px-1.5 py-0.5 text-[13px] leading-4 hover:bg-plate-2"
      onClick={() => go("checks", { finding: keyOf(worst) })}
    >
      <span aria-hidden className="font-bold text-clay">
        {isFault ? "!" : "?"}
      </span>
      {count}
    </button>
  );
}
