import { Button } from "../../parts/button.js";
import type { Trouble } from "./use-attempt.js";

export interface TroubleBoxProps {
  trouble: Trouble;
  onClose: () => void;
}

/** What did not work, where in the file or list it is, and what to do. */
export function TroubleBox({ trouble: { what, detail, faults }, onClose }: TroubleBoxProps) {
  return (
    <section role="alert" className="rounded-md border border-clay bg-clay-soft p-4">
      <div className="flex items-start gap-3">
        <div className="grow">
          <h2 className="font-bold">{what}</h2>
          <p>{detail}</p>
        </div>
        <Button tone="quiet" icon="x" aria-label="Close the message" onClick={onClose} />
      </div>
      {faults.length > 0 && (
        <ul className="mt-2 flex max-h-60 flex-col gap-2 overflow-auto">
          {faults.map((fault, i) => (
            <li key={i}>
              <span className="mono rounded-sm bg-plate-2 px-1 py-0.5">{fault.pointer || "/"}</span> received{" "}
              {fault.received}; expected {fault.expected}. {fault.remedy}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
