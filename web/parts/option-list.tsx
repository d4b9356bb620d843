import { useEffect, useRef } from "react";

export interface ListOption {
  value: string;
  label: string;
  says?: string;
  /** It can be looked at, and not taken. */
  disabled?: boolean;
}

export interface OptionListProps {
  id: string;
  label: string;
  options: readonly ListOption[];
  /** Which is chosen; below 0 none. */
  at: number;
  onAt: (i: number) => void;
  onTake: (i: number) => void;
}

/** The list under a line that finds things; the line keeps the focus and its keys. */
export function OptionList({ id, label, options, at, onAt, onTake }: OptionListProps) {
  const list = useRef<HTMLUListElement>(null);
  useEffect(() => {
    list.current?.querySelector('[aria-selected="true"]')?.scrollIntoView({ block: "nearest" });
  }, [at]);
  return (
    <ul ref={list} id={id} role="listbox" aria-label={label} className="py-1">
      {options.map((option, i) => (
        <li
          key={option.value}
          id={`${id}-${i}`}
          role="option"
          aria-selected={i === at}
          aria-disabled={option.disabled || undefined}
          className={`flex cursor-pointer items-baseline gap-2 px-2.5 py-1 ${i === at ? "bg-petrol-soft" : ""} ${option.disabled ? "text-ink-2" : ""}`}
          // a list that opens under a pointer at rest is not chosen from by that
          onPointerMove={(event) => (event.movementX !== 0 || event.movementY !== 0) && onAt(i)}
          onPointerDown={(event) => {
            event.preventDefault();
            onTake(i);
          }}
        >
          <span className="shrink-0 font-medium">{option.label}</span>
          {option.says && <span className="truncate text-ink-2">{option.says}</span>}
        </li>
      ))}
    </ul>
  );
}
