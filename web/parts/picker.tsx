import { Popover } from "radix-ui";
import { useId, useMemo, useState } from "react";
import { PopBox } from "./pop-box.js";

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
  onLeave?: () => void;
  /** Where the list opens. */
  side?: "top" | "bottom";
  className?: string;
}

const fold = (text: string): string =>
  text
    .normalize("NFKD")
    .replaceAll(/\p{Mark}/gu, "")
    .toLowerCase();
const most = 10;

/** A line that finds things by typing their names: arrows choose, Enter takes. */
export function Picker({
  label,
  placeholder,
  options,
  onPick,
  onNew,
  autoFocus,
  onLeave,
  side = "top",
  className = "",
}: PickerProps) {
  const id = useId();
  const [text, setText] = useState("");
  const [at, setAt] = useState(0);
  const [open, setOpen] = useState(false);
  const found = useMemo(() => {
    const wanted = fold(text.trim());
    const ranked = options
      .map((option) => ({
        option,
        rank: wanted === "" ? 0 : rankOf(fold(option.label), fold(option.says ?? ""), wanted),
      }))
      .filter(({ rank }) => rank >= 0);
    return ranked
      .sort((a, b) => a.rank - b.rank)
      .slice(0, most)
      .map(({ option }) => option);
  }, [options, text]);
  const makes = onNew && text.trim() !== "" && !found.some((option) => fold(option.label) === fold(text.trim()));
  const count = found.length + (makes ? 1 : 0);
  const take = (i: number) => {
    const option = found[i];
    if (option) onPick(option.value);
    else if (makes) onNew.make(text.trim());
    else return;
    setText("");
    setAt(0);
    setOpen(false);
  };
  return (
    <Popover.Root open={open && count > 0}>
      <Popover.Anchor asChild>
        <input
          role="combobox"
          aria-label={label}
          aria-expanded={open && count > 0}
          aria-controls={id}
          aria-activedescendant={open && count > 0 ? `${id}-${at}` : undefined}
          autoComplete="off"
          spellCheck={false}
          autoFocus={autoFocus}
          placeholder={placeholder}
          value={text}
          className={`h-7 w-full rounded-sm border border-field bg-plate-2 px-1.5 placeholder:text-ink-2 ${className}`}
          onChange={(event) => {
            setText(event.target.value);
            setAt(0);
            setOpen(true);
          }}
          onFocus={() => setOpen(true)}
          onBlur={() => {
            setOpen(false);
            onLeave?.();
          }}
          onKeyDown={(event) => {
            event.stopPropagation();
            if (event.key === "ArrowDown" || event.key === "ArrowUp") {
              event.preventDefault();
              setOpen(true);
              setAt((now) => (count ? (now + (event.key === "ArrowDown" ? 1 : count - 1)) % count : 0));
            }
            if (event.key === "Enter") take(at);
            if (event.key === "Escape") {
              setText("");
              event.currentTarget.blur();
            }
          }}
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
        <ul id={id} role="listbox" aria-label={label} className="py-1">
          {found.map((option, i) => (
            <li
              key={option.value}
              id={`${id}-${i}`}
              role="option"
              aria-selected={i === at}
              className={`flex cursor-pointer items-baseline gap-2 px-2 py-1 ${i === at ? "bg-petrol-soft" : ""}`}
              onPointerMove={() => setAt(i)}
              onPointerDown={(event) => {
                event.preventDefault();
                take(i);
              }}
            >
              <span className="font-medium">{option.label}</span>
              {option.says && <span className="truncate text-ink-2">{option.says}</span>}
            </li>
          ))}
          {makes && (
            <li
              id={`${id}-${found.length}`}
              role="option"
              aria-selected={at === found.length}
              className={`cursor-pointer px-2 py-1 ${at === found.length ? "bg-petrol-soft" : ""}`}
              onPointerMove={() => setAt(found.length)}
              onPointerDown={(event) => {
                event.preventDefault();
                take(found.length);
              }}
            >
              {onNew.label(text.trim())}
            </li>
          )}
        </ul>
      </PopBox>
    </Popover.Root>
  );
}

/** How well an option answers a text: lower is better, below 0 not at all. Words may stand in any order. */
const rankOf = (label: string, says: string, wanted: string): number => {
  if (label === wanted) return 0;
  if (label.startsWith(wanted)) return 1;
  if (label.includes(` ${wanted}`)) return 2;
  if (label.includes(wanted)) return 3;
  if (says.includes(wanted)) return 4;
  const all = `${label} ${says}`;
  const words = wanted.split(/\s+/);
  if (!words.every((word) => all.includes(word))) return -1;
  return all.split(/[^\p{Letter}\p{Number}]+/u).filter((word) => words.includes(word)).length === words.length ? 5 : 6;
};
