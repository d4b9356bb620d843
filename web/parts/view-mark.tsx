import { Popover } from "radix-ui";
import { useState } from "react";
import { isVaried, nodeAt, type Slot } from "../../core/index.js";
import { Icon } from "./icon.js";
import { PopBox } from "./pop-box.js";
import { useSetSubject } from "./set-subject.js";
import { ViewGrid } from "./view-grid.js";

/** Whether something differs by view (filled); pressed, it shows what it is in which views. */
export function ViewMark({ of: slot, name }: { of: Slot; name: string }) {
  const subject = useSetSubject();
  const [open, setOpen] = useState(false);
  if (!subject) return null;
  const { frame, id, at, vary } = subject;
  const varied = isVaried(nodeAt(frame, id), slot);
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger
        aria-label={`${name}: ${varied ? "differs by view" : "the same in every view"}`}
        title={varied ? "Differs by view" : "The same in every view: otherwise in some?"}
        className={`inline-grid size-6 shrink-0 place-items-center rounded-sm hover:bg-petrol-soft ${varied ? "text-petrol" : "text-ink-2"}`}
      >
        <Icon name="devices" size={16} fill={varied} />
      </Popover.Trigger>
      <PopBox label={`${name} by view`} className="flex w-96 flex-col gap-2 p-3">
        <p className="font-bold">{name} by view</p>
        <ViewGrid frame={frame} ids={[id]} slot={slot} name={name} at={at} onSet={(...set) => vary(slot, ...set)} />
      </PopBox>
    </Popover.Root>
  );
}
