import { type InputHTMLAttributes, useEffect, useId, useRef, useState } from "react";

export interface TextLineProps extends Omit<InputHTMLAttributes<HTMLInputElement>, "onChange" | "value"> {
  value: string;
  /** Called once the person is done: with Enter, or by going elsewhere. */
  onDone: (value: string) => void;
  /** What is wrong with a text, and what is expected; null when it can be taken. What is wrong is kept and said, not taken. */
  wrong?: ((text: string) => string | null) | undefined;
  /** Escape was pressed; the text goes back to what it was. */
  onCancel?: () => void;
}

/** A line of text that changes nothing while it is being typed. */
export function TextLine({ value, onDone, wrong, onCancel, className = "", ...rest }: TextLineProps) {
  const id = useId();
  const [text, setText] = useState(value);
  const [fault, setFault] = useState<string | null>(null);
  const cancelled = useRef(false);
  const reset = () => {
    setText(value);
    setFault(null);
  };
  useEffect(reset, [value]);
  const said = useRef<HTMLSpanElement>(null);
  useEffect(() => {
    said.current?.scrollIntoView({ block: "nearest" });
  }, [fault]);
  const done = () => {
    if (!cancelled.current && text !== value) {
      const found = wrong?.(text) ?? null;
      setFault(found);
      if (found === null) onDone(text);
    }
    cancelled.current = false;
  };
  return (
    <>
      <input
        spellCheck={false}
        autoComplete="off"
        className={`h-7 w-full min-w-0 rounded-sm border bg-plate-2 px-1.5 ${fault ? "border-clay" : "border-field"} ${className}`}
        value={text}
        aria-invalid={fault !== null || undefined}
        aria-describedby={fault ? id : undefined}
        onChange={(event) => {
          setText(event.target.value);
          setFault(null);
        }}
        onBlur={done}
        onKeyDown={(event) => {
          if (event.key === "Enter") event.currentTarget.blur();
          if (event.key === "Escape") {
            cancelled.current = true;
            reset();
            event.currentTarget.blur();
            onCancel?.();
          }
          event.stopPropagation();
        }}
        {...rest}
      />
      {fault && (
        <span ref={said} id={id} role="alert" className="basis-full text-[12px] leading-4 text-clay">
          ! {fault}
        </span>
      )}
    </>
  );
}
