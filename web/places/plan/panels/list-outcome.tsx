import type { Frame, OutlineFault } from "../../../../core/index.js";
import { SmallPlan } from "../../../parts/small-plan.js";
import type { ListLook } from "./list-look.js";

export interface ListOutcomeProps {
  frame: Frame;
  shown: ListLook;
  /** Goes to where a fault is in the list. */
  onGo: (fault: OutlineFault) => void;
}

const most = 20;

/** What a list would make, or what is not right in it yet. */
export function ListOutcome({ frame, shown, onGo }: ListOutcomeProps) {
  return (
    <div className="flex min-w-60 grow basis-70 flex-col gap-1.5 overflow-auto border-r border-rule px-3 py-2">
      {shown.faults.length > 0 ? (
        <ul aria-label="What is not right yet" className="flex flex-col gap-1.5">
          {shown.faults.slice(0, most).map((fault, i) => (
            <li key={i}>
              <button type="button" className="text-left hover:underline" onClick={() => onGo(fault)}>
                <b className="text-clay">
                  Line {fault.line}, column {fault.column}:
                </b>{" "}
                received {fault.received}; expected {fault.expected}. {fault.remedy}
              </button>
            </li>
          ))}
        </ul>
      ) : shown.made ? (
        <SmallPlan frame={shown.made.frame} width={300} height={170} fresh={frame} />
      ) : (
        <p className="text-ink-2">What the list would make is shown here before it is made.</p>
      )}
    </div>
  );
}

/** The same in a line. */
export function ListStatus({ shown }: { shown: ListLook }) {
  const count = shown.faults.length;
  const why = shown.why ?? (count > 0 ? `${count} ${count === 1 ? "line is" : "places are"} not right yet` : null);
  return (
    <p role="status" className="min-w-0 grow truncate">
      {shown.made ? (
        <span className="rounded-sm bg-petrol-soft px-2 py-0.5">makes {shown.made.says}</span>
      ) : why ? (
        <span className="rounded-sm bg-clay-soft px-2 py-0.5">! {why}</span>
      ) : (
        <span className="text-ink-2">One name to a line; what is further in belongs to the line above</span>
      )}
    </p>
  );
}
