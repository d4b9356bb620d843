import { type KeyboardEvent, type RefObject, useRef } from "react";
import { type OutlineFault, sure } from "../../../../core/index.js";

export interface ListAreaProps {
  area: RefObject<HTMLTextAreaElement | null>;
  text: string;
  faults: readonly OutlineFault[];
  onText: (text: string) => void;
  onKeyDown: (event: KeyboardEvent<HTMLTextAreaElement>) => void;
}

const sample = "Main =\n  Plots *plant\n    Plot /plots/:plot\n      Log water ^\n  Diary *notebook";

/** The list as it is written, its lines numbered; those that are not right are marked. */
export function ListArea({ area, text, faults, onText, onKeyDown }: ListAreaProps) {
  const numbers = useRef<HTMLPreElement>(null);
  const faulty = new Set(faults.map(({ line }) => line));
  return (
    <div className="flex min-w-64 grow basis-80 overflow-hidden border-r border-rule bg-plate-2">
      <pre
        ref={numbers}
        aria-hidden
        className="mono relative h-max shrink-0 py-2 pr-1.5 pl-2 text-right text-[12px] leading-[19px] text-ink-2 select-none"
      >
        {text
          .split("\n")
          .map((_, i) => i + 1)
          .join("\n")}
        {[...faulty].map((line) => (
          <b
            key={line}
            className="absolute right-0 left-0 rounded-sm bg-clay-soft pr-1.5 text-ink"
            style={{ top: 8 + (line - 1) * 19 }}
          >
            {line}
          </b>
        ))}
      </pre>
      <textarea
        ref={area}
        aria-label="List of names"
        aria-invalid={faults.length > 0 || undefined}
        spellCheck={false}
        wrap="off"
        placeholder={sample}
        value={text}
        onScroll={(event) => {
          sure(numbers.current).style.transform = `translateY(${-event.currentTarget.scrollTop}px)`;
        }}
        className="mono h-full min-w-0 grow resize-none overflow-auto bg-transparent py-2 pr-2 text-[12.5px] leading-[19px] outline-none"
        onChange={(event) => onText(event.target.value)}
        onKeyDown={onKeyDown}
      />
    </div>
  );
}
