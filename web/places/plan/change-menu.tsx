import { Popover } from "radix-ui";
import { type KeyboardEvent, useEffect, useMemo, useRef, useState } from "react";
import {
  applySoundly,
  type ChangeOfMind,
  changesOfMind,
  consequenceSays,
  consequencesOf,
  type Frame,
  plainName,
  type Planned,
  type View,
} from "../../../core/index.js";
import type { Chosen } from "../../app/place.js";
import { PopBox } from "../../parts/pop-box.js";

export interface ChangeMenuProps {
  frame: Frame;
  view: View;
  parts: readonly Chosen[];
  make: (planned: Planned | null) => boolean;
  onClose: () => void;
}

interface Look {
  planned: Planned | null;
  /** Why it cannot be done, or what it does. */
  says: string[];
}

/** What a change of mind would do to those it is about, said by running the frame before and after it. */
const lookAt = (frame: Frame, view: View, change: ChangeOfMind, parts: readonly Chosen[], target?: string): Look => {
  const result = change.plan(frame, parts, target);
  if (!result.ok) return { planned: null, says: [result.why] };
  const { planned } = result;
  const after = applySoundly(frame, planned.edit);
  if (!after.ok) return { planned: null, says: [after.faults[0]!.received, after.faults[0]!.remedy] };
  const ids = parts.map(({ id }) => id).filter((id) => Object.hasOwn(after.frame.nodes, id));
  const about = ids.length ? ids.slice(0, 4) : planned.choose ? [planned.choose.id] : [];
  const says = about.flatMap((id) => consequenceSays(after.frame, view, consequencesOf(frame, after.frame, view, id)));
  return { planned, says: says.length ? [...new Set(says)] : ["Back, bars and every way in as before"] };
};

/** The ways to think again about what is chosen, each with what it would do before it is done. */
export default function ChangeMenu({ frame, view, parts, make, onClose }: ChangeMenuProps) {
  const [at, setAt] = useState(0);
  const [targets, setTargets] = useState<Record<string, string>>({});
  const list = useRef<HTMLUListElement>(null);
  const plans = useMemo(() => changesOfMind.map((change) => change.plan(frame, parts)), [frame, parts]);
  // those that can be done come first
  const order = useMemo(
    () => changesOfMind.map((_, i) => i).sort((a, b) => Number(plans[b]!.ok) - Number(plans[a]!.ok) || a - b),
    [plans],
  );
  const change = changesOfMind[order[at]!]!;
  const target = targets[change.id];
  const look = useMemo(() => lookAt(frame, view, change, parts, target), [frame, view, change, parts, target]);
  const choices = look.planned ? (change.targets?.(frame, parts) ?? []) : [];
  useEffect(() => list.current?.focus(), []);
  const take = (planned: Planned | null) => {
    if (planned && make(planned)) onClose();
  };
  const keys = (event: KeyboardEvent) => {
    event.stopPropagation();
    const step = event.key === "ArrowDown" ? 1 : event.key === "ArrowUp" ? -1 : 0;
    if (step) setAt((at + step + order.length) % order.length);
    else if (event.key === "Enter") take(look.planned);
    else if (event.key === "Escape") onClose();
    else return;
    event.preventDefault();
  };
  const names = parts.map(({ id }) => plainName(frame, id));
  return (
    <Popover.Root open onOpenChange={(open) => !open && onClose()}>
      <Popover.Anchor asChild>
        <span />
      </Popover.Anchor>
      <PopBox
        label="Change your mind"
        sideOffset={8}
        className="flex w-96 flex-col"
        onOpenAutoFocus={(event) => {
          event.preventDefault();
          list.current?.focus();
        }}
        onCloseAutoFocus={(event) => event.preventDefault()}
      >
        <p className="truncate border-b border-rule px-3 py-2">
          <b>Change your mind</b>{" "}
          <span className="text-ink-2">about {names.length > 3 ? `${names.length} chosen` : names.join(", ")}</span>
        </p>
        <ul
          ref={list}
          role="listbox"
          aria-label="Changes of mind"
          aria-activedescendant={`change-${change.id}`}
          tabIndex={0}
          className="py-1 outline-none"
          onKeyDown={keys}
        >
          {order.map((index, i) => {
            const each = changesOfMind[index]!;
            const { ok } = plans[index]!;
            return (
              <li
                key={each.id}
                id={`change-${each.id}`}
                role="option"
                aria-selected={i === at}
                aria-disabled={!ok}
                className={`flex cursor-pointer items-center gap-2 px-3 py-1 ${i === at ? "bg-petrol-soft" : ""} ${ok ? "" : "text-ink-2"}`}
                onPointerMove={() => setAt(i)}
                onClick={() => take(lookAt(frame, view, each, parts, targets[each.id]).planned)}
              >
                <span className="shrink-0 font-medium">{each.label}</span>
                <span className="truncate text-ink-2">{each.says}</span>
              </li>
            );
          })}
        </ul>
        {/* what is said of each has the same room: the list must not slip away under the pointer */}
        <div className="flex h-24 shrink-0 flex-col overflow-auto border-t border-rule">
          {choices.length > 0 && look.planned && (
            <label className="flex items-center gap-2 border-b border-rule px-3 py-1.5">
              <span className="shrink-0">{change.label}</span>
              <select
                value={target ?? choices[0]}
                className="h-7 min-w-0 grow rounded-sm border border-field bg-plate-2 px-1"
                onChange={(event) => setTargets({ ...targets, [change.id]: event.target.value })}
                onKeyDown={(event) => {
                  if (event.key === "Enter") take(look.planned);
                  if (event.key !== "Escape") event.stopPropagation();
                }}
              >
                {choices.map((id) => (
                  <option key={id} value={id}>
                    {plainName(frame, id)}
                  </option>
                ))}
              </select>
            </label>
          )}
          <p role="status" className={`px-3 py-2 ${look.planned ? "" : "text-clay"}`}>
            <b>{look.planned ? look.planned.label : "Not here"}:</b> {look.says.join(" · ")}
          </p>
        </div>
      </PopBox>
    </Popover.Root>
  );
}
