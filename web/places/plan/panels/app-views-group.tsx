import { useState } from "react";
import {
  appSlots,
  type Cell,
  type FaintViews,
  type Frame,
  isVaried,
  type Slot,
  variedEdit,
  type View,
} from "../../../../core/index.js";
import { useOpenFrame } from "../../../app/open-frame.js";
import { appSlotName } from "../../../parts/slot-names.js";
import { Select } from "../../../parts/select.js";
import { ViewGrid } from "../../../parts/view-grid.js";
import { cellIn } from "../bench/cell-in.js";

export interface AppViewsGroupProps {
  frame: Frame;
  view: View;
  /** Where colours are too faint in views that have others. */
  elsewhere: readonly FaintViews[];
}

/** What of the app as a whole is otherwise in some views: its colours and sizes, its motions, and where links to nowhere lead. */
export function AppViewsGroup({ frame, view, elsewhere }: AppViewsGroupProps) {
  const { editing } = useOpenFrame();
  const varied = appSlots.filter(({ slot }) => isVaried(frame, slot));
  const [asked, setAsked] = useState<Slot | null>(null);
  const slot = asked ?? varied[0]?.slot ?? "theme.light.accent";
  const name = appSlotName(slot);
  const set = (cells: Cell[] | undefined, value: unknown, label: string) =>
    void editing.edit(variedEdit(null, slot, cells, value), label);
  return (
    <div className="flex max-w-xl flex-col gap-1.5">
      <Select
        label="What is otherwise in some views"
        className="self-start"
        value={slot}
        options={appSlots.map((each) => ({
          value: each.slot,
          label: `${appSlotName(each.slot)}${varied.includes(each) ? " (differs)" : ""}`,
        }))}
        onChange={setAsked}
      />
      <ViewGrid key={slot} frame={frame} ids={null} slot={slot} name={name} at={cellIn(frame, view)} onSet={set} />
      {elsewhere.length > 0 && (
        <ul aria-label="Too faint in some views" className="flex flex-col gap-1 px-1.5">
          {elsewhere.map(({ where, faint }) => (
            <li key={where} className="text-clay">
              <b>! {where}</b>: {[...new Set(faint.map(({ says }) => says))].join(", ")}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
