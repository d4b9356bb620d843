import { useState } from "react";
import { isVaried, nodeAt, type Slot } from "../../core/index.js";
import { useSetSubject } from "./set-subject.js";
import { ViewGrid } from "./view-grid.js";

export interface ByViewProps {
  of: Slot;
  /** What it is called in words. */
  name: string;
  /** The grid is in sight, whether anything differs or not. */
  open?: boolean;
}

/** Whether something differs by view: a press away as long as nothing does, and in sight as soon as it does. */
export function ByView({ of: slot, name, open = false }: ByViewProps) {
  const subject = useSetSubject();
  const [asked, setAsked] = useState(false);
  if (!subject) return null;
  const { frame, id, at, vary } = subject;
  if (open || asked || isVaried(nodeAt(frame, id), slot))
    return <ViewGrid frame={frame} ids={[id]} slot={slot} name={name} at={at} onSet={(...set) => vary(slot, ...set)} />;
  return (
    <button
      type="button"
      aria-label={`${name}: otherwise in some views`}
      className="self-start text-petrol underline"
      onClick={() => setAsked(true)}
    >
      Otherwise in some views
    </button>
  );
}
