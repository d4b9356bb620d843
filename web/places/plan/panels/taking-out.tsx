import { useMemo } from "react";
import { type Frame, leadElsewhere, plainName, subtreeOf, type Way, waysGoneWith } from "../../../../core/index.js";
import { Button } from "../../../parts/button.js";
import { PanelDialog } from "../../../parts/panel-dialog.js";
import { Picker } from "../../../parts/picker.js";
import { goneOf, type TakingOut as Taking } from "../acting/use-taking-out.js";

/** So many ways are told one by one. */
const most = 8;

const waySays = (frame: Frame, { from, via, label, to }: Way): string => {
  const by = via === "row" ? "a row" : via === "after" ? "by itself" : `“${label}”`;
  return `${plainName(frame, from)}, ${by}, to ${plainName(frame, to)}`;
};

/** Before something is taken out that others lead to: which ways go with it, and where they could lead instead. */
export default function TakingOut({ frame, taking }: { frame: Frame; taking: Taking }) {
  const { parts } = taking;
  const ids = useMemo(() => goneOf(frame, parts ?? []), [frame, parts]);
  const ways = useMemo(() => waysGoneWith(frame, ids), [frame, ids]);
  const others = useMemo(() => {
    const gone = new Set(ids.flatMap((id) => subtreeOf(frame, id)));
    return Object.keys(frame.nodes)
      .filter((id) => !gone.has(id) && id !== frame.root)
      .map((value) => ({ value, label: plainName(frame, value) }));
  }, [frame, ids]);
  const names = ids.map((id) => plainName(frame, id)).join(", ");
  const count = ways.length === 1 ? "1 way leads" : `${ways.length} ways lead`;
  return (
    <PanelDialog title={`Delete ${names}?`} says={`${count} there from elsewhere.`} open onClose={taking.leave}>
      <ul className="columns-2 gap-6 pb-3">
        {ways.slice(0, most).map((way) => (
          <li key={`${way.from} ${way.via} ${way.action} ${way.to}`} className="break-inside-avoid">
            {waySays(frame, way)}
          </li>
        ))}
        {ways.length > most && <li className="text-ink-2">and {ways.length - most} more</li>}
      </ul>
      <div className="flex flex-wrap items-center gap-3">
        <Button autoFocus tone="strong" onClick={() => taking.take()}>
          Delete, and {ways.length === 1 ? "that way" : "those ways"} with it
        </Button>
        <span className="flex min-w-72 flex-1 items-center gap-2">
          or lead {ways.length === 1 ? "it" : "them"} to
          <Picker
            label="Where these ways lead instead"
            placeholder="another screen, by its name"
            options={others}
            onPick={(to) => taking.take({ to, by: leadElsewhere(frame, ids, to) })}
            side="bottom"
          />
        </span>
        <Button onClick={taking.leave}>Keep it</Button>
      </div>
    </PanelDialog>
  );
}
