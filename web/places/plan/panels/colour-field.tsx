import { useEffect, useRef } from "react";
import { TextLine } from "../../../parts/text-line.js";
import { readHex, wrongHex } from "../../../parts/wrong.js";

export interface ColourFieldProps {
  label: string;
  value: string;
  /** The frame says it itself. */
  own: boolean;
  onTry: (hex: string) => void;
  onDone: (hex: string | undefined) => void;
}

/** A colour by picking and by its hex; nothing is changed while it is being picked. */
export function ColourField({ label, value, own, onTry, onDone }: ColourFieldProps) {
  const input = useRef<HTMLInputElement>(null);
  const done = useRef(onDone);
  done.current = onDone;
  useEffect(() => {
    // React's onChange is the platform's input event; the colour is taken when the platform says it was chosen
    const element = input.current;
    const chosen = () => element && done.current(element.value);
    element?.addEventListener("change", chosen);
    return () => element?.removeEventListener("change", chosen);
  }, []);
  return (
    <span className="flex w-[118px] flex-wrap items-center gap-1">
      <input
        ref={input}
        type="color"
        aria-label={`Colour of ${label}`}
        className="h-7 w-8 shrink-0 cursor-pointer rounded-sm border border-field bg-plate-2 p-0.5"
        value={value.slice(0, 7).toLowerCase()}
        onChange={(event) => onTry(event.target.value)}
      />
      <TextLine
        aria-label={`Hex of ${label}`}
        className={`mono w-20! text-[12px] ${own ? "" : "text-ink-2"}`}
        wrong={wrongHex}
        value={value.toUpperCase()}
        onDone={(text) => onDone(readHex(text))}
        title={own ? "Empty it for the usual colour" : "The usual colour: the frame does not say it"}
      />
    </span>
  );
}
