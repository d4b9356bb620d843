import { Popover } from "radix-ui";
import { type KeyboardEvent, useId, useMemo, useRef, useState } from "react";
import {
  applySoundly,
  type ChangeOfMind,
  changesOfMind,
  consequenceSays,
  consequencesOf,
  faultSays,
  type Frame,
  type Id,
  nameOf,
  plainName,
  placesOf,
  type Planned,
  type View,
  firstOf,
  sure,
} from "../../../core/index.js";
import type { Chosen } from "../../app/place.js";
import { type ListOption, OptionList } from "../../parts/option-list.js";
import { PopBox } from "../../parts/pop-box.js";
import { ranked } from "../../parts/rank.js";

export interface ChangeMenuProps {
  frame: Frame;
  view: View;
  parts: readonly Chosen[];
  make: (planned: Planned | null) => boolean;
  /** Says whether something was done. */
  onClose: (made?: boolean) => void;
}

interface Look {
  planned: Planned | null;
  /** Why it cannot be done, or what it does. */
  says: string[];
}

/** What a change of mind would do to those it is about, said by running the frame before and after it. */
const lookAt = (frame: Frame, view: View, change: ChangeOfMind, parts: readonly Chosen[], target?: Id): Look => {
  const result = change.plan(frame, parts, target);
  if (!result.ok) return { planned: null, says: [result.why] };
  const { planned } = result;
  const after = applySoundly(frame, planned.edit);
  if (!after.ok) return { planned: null, says: [faultSays(frame, firstOf(after.faults))] };
  const ids = parts.map(({ id }) => id).filter((id) => Object.hasOwn(after.frame.nodes, id));
  const about = ids.length ? ids.slice(0, 4) : planned.choose ? [planned.choose.id] : [];
  const says = about.flatMap((id) => consequenceSays(after.frame, view, consequencesOf(frame, after.frame, view, id)));
  return { planned, says: says.length ? [...new Set(says)] : ["Back, bars and every way in as before"] };
};

/** What a change that asks for something more can be done with. */
const targetOptions = (frame: Frame, ids: readonly Id[]): ListOption[] =>
  ids.map((id) => ({
    value: id,
    label: plainName(frame, id),
    says:
      id === frame.root
        ? "the whole app"
        : `in ${placesOf(frame, id)
            .map((place) => nameOf(frame, place))
            .join(", ")}`,
  }));

/** The ways to think again about what is chosen, found by typing, each with what it would do before it is done. */
export default function ChangeMenu({ frame, view, parts, make, onClose }: ChangeMenuProps) {
  const id = useId();
  const [text, setText] = useState("");
  /** Which is chosen; none until something was typed, an arrow pressed or the pointer there. */
  const [at, setAt] = useState(-1);
  /** The change that asks what it is to be done with. */
  const [asking, setAsking] = useState<ChangeOfMind | null>(null);
  const input = useRef<HTMLInputElement>(null);

  const changes = useMemo<ListOption[]>(
    () =>
      changesOfMind
        .map(({ id: value, label, says, plan }) => ({ value, label, says, disabled: !plan(frame, parts).ok }))
        // those that can be done come first
        .sort((a, b) => Number(a.disabled) - Number(b.disabled)),
    [frame, parts],
  );
  const options = useMemo(
    () => (asking ? targetOptions(frame, sure(asking.targets)(frame, parts)) : changes),
    [frame, parts, asking, changes],
  );
  const shown = useMemo(() => ranked(options, text), [options, text]);
  const chosen = shown[at];
  const change = asking ?? changesOfMind.find((each) => each.id === chosen?.value) ?? null;
  const look = useMemo(
    () =>
      change && (!asking || chosen) ? lookAt(frame, view, change, parts, asking ? chosen?.value : undefined) : null,
    [frame, view, change, asking, chosen, parts],
  );

  const begin = (next: ChangeOfMind | null) => {
    setAsking(next);
    setText("");
    setAt(-1);
    input.current?.focus();
  };
  const take = (i: number) => {
    const option = shown[i];
    if (!option || option.disabled) return setAt(i);
    const taken = asking ?? sure(changesOfMind.find((each) => each.id === option.value));
    if (!asking && taken.targets && taken.targets(frame, parts).length > 0) return begin(taken);
    const { planned } = lookAt(frame, view, taken, parts, asking ? option.value : undefined);
    if (planned && make(planned)) onClose(true);
  };
  const keys = (event: KeyboardEvent) => {
    const step = event.key === "ArrowDown" ? 1 : event.key === "ArrowUp" ? -1 : 0;
    const count = shown.length;
    if (step) setAt(count === 0 ? -1 : at < 0 ? (step > 0 ? 0 : count - 1) : (at + step + count) % count);
    else if (event.key === "Enter") take(at);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const names = parts.map((part) => plainName(frame, part.id));
  const about = names.length > 3 ? `${names.length} chosen` : names.join(", ");
  return (
    <Popover.Root open onOpenChange={(open) => !open && onClose()}>
      <Popover.Anchor asChild>
        <span />
      </Popover.Anchor>
      <PopBox
        label="Change your mind"
        sideOffset={8}
        className="flex w-md flex-col"
        onOpenAutoFocus={(event) => {
          event.preventDefault();
          input.current?.focus();
        }}
        onCloseAutoFocus={(event) => event.preventDefault()}
        onEscapeKeyDown={(event) => {
          // one thing at a time: what is asked for, then the menu
          if (!asking) return;
          event.preventDefault();
          begin(null);
        }}
      >
        <div className="flex items-center gap-2 border-b border-rule px-2.5 py-2">
          <b className="shrink-0">{asking ? asking.label : "Change your mind"}</b>
          <input
            ref={input}
            role="combobox"
            aria-label={asking ? `${asking.label}: type its name` : "Type what should become of it"}
            aria-expanded
            aria-controls={id}
            aria-activedescendant={at >= 0 ? `${id}-${at}` : undefined}
            autoComplete="off"
            spellCheck={false}
            placeholder={asking ? "which one: type its name" : `about ${about}`}
            value={text}
            className="h-7 min-w-0 grow rounded-sm border border-field bg-plate-1 px-1.5 placeholder:text-ink-2"
            onChange={(event) => {
              setText(event.target.value);
              setAt(event.target.value.trim() === "" ? -1 : 0);
            }}
            onKeyDown={keys}
          />
        </div>
        <div className="h-72 max-h-[45dvh] overflow-auto">
          <OptionList
            id={id}
            label={asking ? asking.label : "Changes of mind"}
            options={shown}
            at={at}
            onAt={setAt}
            onTake={take}
          />
          {shown.length === 0 && <p className="px-3 py-1.5 text-ink-2">Nothing is called that.</p>}
        </div>
        {/* what is said of each has the same room: the list must not slip away under the pointer */}
        <p
          role="status"
          className={`h-20 shrink-0 overflow-auto border-t border-rule px-3 py-2 ${look && !look.planned ? "text-clay" : ""}`}
        >
          {look ? (
            <>
              <b>{look.planned ? look.planned.label : "Not here"}:</b> {look.says.join(" · ")}
            </>
          ) : (
            <span className="text-ink-2">
              {asking ? "Choose which; " : "Choose what should become of it; "}what it would do is said here first.
            </span>
          )}
        </p>
      </PopBox>
    </Popover.Root>
  );
}
