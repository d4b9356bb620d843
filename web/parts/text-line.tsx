import { type InputHTMLAttributes, useEffect, useRef, useState } from "react";

export interface TextLineProps extends Omit<InputHTMLAttributes<HTMLInputElement>, "onChange" | "value"> {
  value: string;
  /** Called once the person is done: with Enter, or by going elsewhere. */
  onDone: (value: string) => void;
  /** Escape was pressed; the text goes back to what it was. */
  onCancel?: () => void;
}

/** A line of text that changes nothing while it is being typed. */
export function TextLine({ value, onDone, onCancel, className = "", ...rest }: TextLineProps) {
  const [text, setText] = useState(value);
  const cancelled = useRef(false);
  useEffect(() => setText(value), [value]);
  const done = () => {
    if (!cancelled.current && text !== value) onDone(text);
    cancelled.current = false;
  };
  return (
    <input
      spellCheck={false}
      autoComplete="off"
      className={`h-7 w-full min-w-0 rounded-sm border border-field bg-plate-2 px-1.5 ${className}`}
      value={text}
      onChange={(event) => setText(event.target.value)}
      onBlur={done}
      onKeyDown={(event) => {
        if (event.key === "Enter") event.currentTarget.blur();
        if (event.key === "Escape") {
          cancelled.current = true;
          setText(value);
          event.currentTarget.blur();
          onCancel?.();
        }
        event.stopPropagation();
      }}
      {...rest}
    />
  );
}
