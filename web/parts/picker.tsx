import { Popover } from "radix-ui";
import { type KeyboardEvent, useId, useMemo, useState } from "react";
import { useTypedMeanwhile } from "./awaited.js";
import { ownEscape } from "./focus-back.js";
import { OptionList } from "./option-list.js";
import { steppedTo } from "./option-step.js";
import { PopBox } from "./pop-box.js";
import { plainText, ranked } from "./rank.js";

export interface PickerOption {
  value: string;
  label: string;
  /** Said behind the label, more quietly. */
  says?: string;
}

export interface PickerProps {
  label: string;
  placeholder: string;
  options: readonly PickerOption[];
  onPick: (value: string) => void;
  /** What a text that is no option can become. */
  onNew?: { label: (text: string) => string; make: (text: string) => void };
  autoFocus?: boolean;
  /** A picker that is there only to pick once: the person is done with it, by Escape or by going elsewhere. */
  onLeave?: (how: "escape" | "elsewhere") => void;
  /** Where the list opens. */
  side?: "top" | "bottom";
  className?: string;
}

const most = 10;

/** What is typed in a picker, which option is chosen, and taking it. */
const useTypedPick = ({ options, onPick, onNew, onLeave, autoFocus = false }: PickerProps) => {
  const [text, setText] = useState("");
  /** Which is chosen; none until something was typed or an arrow pressed. */
  const [at, setAt] = useState(-1);
  const [asked, setAsked] = useState(false);
  const shown = useMemo<PickerOption[]>(() => {
    const found = ranked(options, text).slice(0, most);
    const makes =
      onNew && text.trim() !== "" && !found.some((each) => plainText(each.label) === plainText(text.trim()));
    return makes ? [...found, { value: "", label: onNew.label(text.trim()) }] : found;
  }, [options, text, onNew]);
  const open = asked && shown.length > 0;
  const reset = () => {
    setText("");
    setAt(-1);
    setAsked(false);
  };
  const type = (next: string) => {
    setText(next);
    setAt(next.trim() === "" ? -1 : 0);
    setAsked(true);
  };
  useTypedMeanwhile((typed) => autoFocus && type(typed));
  const take = (i: number) => {
    const option = shown[i];
    if (!option) return;
    reset();
    if (option.value === "" && onNew) onNew.make(text.trim());
    else onPick(option.value);
  };
  const keys = (event: KeyboardEvent) => {
    const to = steppedTo(event.key, at, shown.length);
    if (to !== null) {
      event.preventDefault();
      setAsked(true);
      setAt(to);
    } else if (event.key === "Enter") {
      // what gets the focus is not pressed by the same Enter
      event.preventDefault();
      take(at);
    } else if (event.key !== "Escape") return;
    else if (onLeave) onLeave("escape");
    else if (open || text !== "") reset();
    // nothing to close here: it is for what lies around
    else return;
    event.stopPropagation();
  };
  return { text, type, at, setAt, shown, open, ask: setAsked, take, keys };
};

/** A line that finds things by typing their names: letters and arrows choose, Enter takes what is chosen and nothing else. */
export function Picker(props: PickerProps) {
  const { label, placeholder, autoFocus, onLeave, side = "top", className = "" } = props;
  const id = useId();
  const { text, type, at, setAt, shown, open, ask, take, keys } = useTypedPick(props);
  return (
    <Popover.Root open={open}>
      <Popover.Anchor asChild>
        <input
          role="combobox"
          aria-label={label}
          aria-expanded={open}
          aria-controls={id}
          aria-activedescendant={open && at >= 0 ? `${id}-${at}` : undefined}
          autoComplete="off"
          spellCheck={false}
          autoFocus={autoFocus}
          placeholder={placeholder}
          value={text}
          className={`h-7 w-full rounded-sm border border-field bg-plate-2 px-1.5 ${className}`}
          {...ownEscape(open || text !== "" || onLeave !== undefined)}
          onChange={(event) => type(event.target.value)}
          onFocus={() => ask(true)}
          onClick={() => ask(true)}
          onBlur={() => {
            ask(false);
            onLeave?.("elsewhere");
          }}
          onKeyDown={keys}
        />
      </Popover.Anchor>
      <PopBox
        label={label}
        side={side}
        sideOffset={3}
        onOpenAutoFocus={(event) => event.preventDefault()}
        onCloseAutoFocus={(event) => event.preventDefault()}
        className="w-max max-w-96 min-w-(--radix-popover-trigger-width) overflow-auto"
        style={{ maxHeight: "min(18rem, var(--radix-popover-content-available-height))" }}
      >
        <OptionList id={id} label={label} options={shown} at={at} onAt={setAt} onTake={take} />
      </PopBox>
    </Popover.Root>
  );
}
