import {
  type CheckReport,
  type Frame,
  plainName,
  type Played,
  type ProofOverall,
  proofsOverall,
  proofTitles,
} from "../../../core/index.js";
import { useMemo } from "react";

const number = (value: number): string => value.toLocaleString("en");

const countSays = ({ id, holds, broken, states }: ProofOverall, isFull: boolean): string => {
  if (holds) return isFull ? `${number(states)} so far` : number(states);
  const what = id === "reached" ? "screen" : id === "drafts" || id === "behind" ? "way" : "state";
  return `${number(broken)} ${what}${broken === 1 ? "" : "s"}`;
};

/** What holds in every state, and what does not, with the fewest events that show it. */
export function Proofs({
  frame,
  report,
  onShow,
}: {
  frame: Frame;
  report: CheckReport | null;
  onShow: (played: Played) => void;
}) {
  const proofs = useMemo(() => (report ? proofsOverall(report) : []), [report]);
  const isFull = report?.walks.some(({ walk }) => walk.bounds.isFull) ?? false;
  if (!report)
    return <div aria-hidden className="h-17 shrink-0 rounded-sm border border-dashed border-field bg-plate-0" />;
  return (
    <ul aria-label="Proofs" className="grid shrink-0 grid-cols-[repeat(auto-fit,minmax(112px,1fr))] gap-1.5">
      {proofs.map((proof) => {
        const { id, holds, shown, where, screens } = proof;
        const isShown = !holds && shown !== null && where !== null;
        const named = screens.map((each) => plainName(frame, each)).join(", ");
        return (
          <li key={id} className="flex">
            <button
              type="button"
              data-proof={holds ? "holds" : "broken"}
              disabled={!isShown}
              title={isShown ? "Show it on the device" : holds ? "It holds in every state that was walked" : named}
              onClick={() => isShown && onShow({ ...shown, where })}
              className={`flex grow flex-col rounded-sm border px-2 py-1.5 text-left ${
                holds ? "border-rule bg-plate-1" : "border-clay bg-clay-soft enabled:hover:bg-plate-2"
              }`}
            >
              <span className="flex items-baseline gap-1.5 text-[12px] text-ink-2">
                <span aria-hidden className={`font-bold ${holds ? "text-petrol" : "text-clay"}`}>
                  {holds ? "✓" : "!"}
                </span>
                <span className="sr-only">{holds ? "holds in" : "broken:"}</span>
                {countSays(proof, isFull)}
              </span>
              <span className="leading-4.5 font-semibold">{proofTitles[id]}</span>
            </button>
          </li>
        );
      })}
    </ul>
  );
}
